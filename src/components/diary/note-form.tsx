"use client";

import { useState } from "react";
import { writeNote } from "@/server/actions/practice";
import type { DiaryData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { newId } from "../new-id";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";

interface Props {
  readonly playerId: string;
  readonly today: string;
  readonly passages: DiaryData["passages"];
  readonly passageId: string | null;
}

/** A note in the player's own words, or advice with its author. */
export function NoteForm({ playerId, today, passages, passageId: given }: Props) {
  const [text, setText] = useState("");
  const [author, setAuthor] = useState("");
  const [on, setOn] = useState(today);
  const [passageId, setPassageId] = useState(given ?? "");
  const [complaint, complain] = useState<string | undefined>();
  const { busy, ask } = useAsk("diary");
  const keep = async (): Promise<void> => {
    const asked = { id: newId(), playerId, passageId: passageId === "" ? null : passageId, on, text, author };
    const answer = await ask(() => writeNote(asked));
    complain(answer.ok ? undefined : answer.message);
    if (!answer.ok) return;
    setText("");
    setAuthor("");
  };
  return (
    <form
      aria-label="Write into the diary"
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <h2 className="font-serif text-lg">Write</h2>
      <Field label="In your own words" error={complaint}>
        {(id, by) => (
          <textarea
            id={id}
            aria-describedby={by}
            rows={3}
            className={`${INPUT_LOOK} w-full py-2`}
            value={text}
            onChange={({ target }) => setText(target.value)}
          />
        )}
      </Field>
      {given === null && (
        <Field label="About">
          {(id) => (
            <select
              id={id}
              className={INPUT_LOOK}
              value={passageId}
              onChange={({ target }) => setPassageId(target.value)}
            >
              <option value="">the day as such</option>
              {passages.map(({ id: of, title }) => (
                <option key={of} value={of}>
                  {title}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      <Field label="Whose advice, where it is somebody’s">
        {(id) => (
          <input id={id} className={INPUT_LOOK} value={author} onChange={({ target }) => setAuthor(target.value)} />
        )}
      </Field>
      <Field label="Day">
        {(id) => (
          <input id={id} type="date" className={INPUT_LOOK} value={on} onChange={({ target }) => setOn(target.value)} />
        )}
      </Field>
      <Button type="submit" disabled={busy || text.trim() === "" || on === ""}>
        Keep
      </Button>
    </form>
  );
}
