"use client";

import { ArrowRight } from "lucide-react";
import Link from "next/link";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { changeOfBlock } from "@/server/actions/practice";
import type { BlockData, TodayData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { newId } from "../new-id";
import { Button, buttonLook } from "../ui/button";
import { Choice } from "../ui/choice";
import { Field, INPUT_LOOK } from "../ui/field";
import { AIM_SAID, blockSaid, minutesSaid, whySaid } from "./said";

interface Props {
  readonly block: BlockData;
  readonly playerId: string;
  /** Quarter notes a minute that the ladder has come to; null where none is climbed. */
  readonly tempo: number | null;
  readonly count: { readonly good: number; readonly plays: number } | null;
}

const MS_A_MINUTE = 60_000;

/** The block of the day that is at hand: its aim, how long it lasts, and what came of it when it is over. */
export function BlockBanner({ block, playerId, tempo, count }: Props) {
  const minutes = useMinutes();
  const [isEnding, end] = useState(false);
  const [after, setAfter] = useState<TodayData | null>(null);
  if (after) return <Over today={after} />;
  return (
    <section aria-label="This block" className="mb-3 border-l-2 border-velvet pl-4">
      <p>
        <span className="font-serif text-xl">{blockSaid(block)}</span>{" "}
        <span className="text-sm text-soft">
          {Math.min(minutes, 999)} of {minutesSaid(block.minutes)}
        </span>
      </p>
      <p className="text-sm text-soft">
        {AIM_SAID[block.doing]}. {whySaid(block)}
      </p>
      {isEnding ? (
        <EndForm
          block={block}
          playerId={playerId}
          minutes={Math.max(1, minutes)}
          kept={{ tempo, count }}
          onKept={setAfter}
          onLeave={() => end(false)}
        />
      ) : (
        <div className="mt-1 flex flex-wrap gap-2">
          <Button onClick={() => end(true)}>End this block</Button>
          <Link href="/" className={buttonLook("quiet")}>
            Back to the day
          </Link>
        </div>
      )}
    </section>
  );
}

/** Whole minutes since it was first shown. */
function useMinutes(): number {
  const [from] = useState(() => Date.now());
  const [now, setNow] = useState(from);
  useEffect(() => {
    const every = setInterval(() => setNow(Date.now()), MS_A_MINUTE / 4);
    return () => clearInterval(every);
  }, []);
  return Math.floor((now - from) / MS_A_MINUTE);
}

interface EndProps {
  readonly block: BlockData;
  readonly playerId: string;
  readonly minutes: number;
  readonly kept: Pick<Props, "tempo" | "count">;
  readonly onKept: (today: TodayData) => void;
  readonly onLeave: () => void;
}

/** What came of it: how long it really was, whether the hands are loose, and a word for the diary. */
function EndForm({ block, playerId, minutes, kept, onKept, onLeave }: EndProps) {
  const [typed, type] = useState(String(minutes));
  const [loose, setLoose] = useState<"yes" | "no" | "unsaid">("unsaid");
  const [note, setNote] = useState("");
  const { busy, ask } = useAsk("today");
  const whole = Number(typed);
  const isWrong = !(Number.isInteger(whole) && whole >= 0 && whole <= 360);
  const keep = async (): Promise<void> => {
    const change = { kind: "done", minutes: whole, ...kept, loose: loose === "unsaid" ? null : loose === "yes", note };
    const asked = { id: block.id, request: newId(), playerId, change };
    const answer = await ask(() => changeOfBlock(asked));
    if (answer.ok) onKept(answer.value);
    else toast.error(answer.message);
  };
  return (
    <form
      aria-label="What came of it"
      className="mt-2 flex flex-wrap items-end gap-3 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isWrong) void keep();
      }}
    >
      <Field label="Minutes" error={isWrong ? "Whole minutes, please." : undefined}>
        {(id, by) => (
          <input
            id={id}
            type="number"
            aria-describedby={by}
            className={`${INPUT_LOOK} w-20`}
            value={typed}
            onChange={({ target }) => type(target.value)}
          />
        )}
      </Field>
      <Choice
        label="Loose now?"
        value={loose}
        options={[
          ["yes", "yes"],
          ["no", "no"],
          ["unsaid", "not said"],
        ]}
        onChange={setLoose}
      />
      <Field label="In your own words">
        {(id) => (
          <input
            id={id}
            className={`${INPUT_LOOK} w-64`}
            value={note}
            onChange={({ target }) => setNote(target.value)}
          />
        )}
      </Field>
      <Button type="submit" look="main" disabled={busy || isWrong}>
        Keep it
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Go on
      </Button>
    </form>
  );
}

function Over({ today }: { readonly today: TodayData }) {
  const next = today.plan?.blocks.find(({ state }) => state === "planned");
  return (
    <section aria-label="This block" className="mb-3 border-l-2 border-velvet pl-4">
      <p role="status">
        That is done. {next ? `Next: ${blockSaid(next)}, ${minutesSaid(next.minutes)}.` : "It was the last of today."}
      </p>
      <Link href="/" className={buttonLook()}>
        Back to the day <ArrowRight size={16} aria-hidden />
      </Link>
    </section>
  );
}
