"use client";

import { format, parseISO } from "date-fns";
import { CalendarPlus } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { endOfRecital, holdRecitalOn, newRecital } from "@/server/actions";
import type { RecitalData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { MENU_ITEM } from "../belongings/menu-look";
import { ask, useAsk } from "../keeping/ask";
import { noticeWithUndo } from "../keeping/notice-with-undo";
import { newId } from "../new-id";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";

/** The player's recitals, the next first; they can be made, moved, renamed and taken away. */
export function Recitals({ playerId, recitals }: { playerId: string; recitals: readonly RecitalData[] }) {
  const [open, setOpen] = useState<string | null>(null);
  const done = (): void => setOpen(null);
  return (
    <section aria-label="Recitals" className="mt-2">
      <ul className="flex flex-wrap items-center gap-x-6">
        {recitals.map((recital) => (
          <li key={recital.id} className="flex flex-wrap items-center gap-x-2">
            {open === recital.id ? (
              <MoveForm recital={recital} onDone={done} />
            ) : (
              <>
                <p className="text-soft">
                  <span className="font-serif text-ink italic">{recital.title}</span>,{" "}
                  {format(parseISO(recital.heldOn), "d MMMM yyyy")}
                  {recital.ended ? ", over" : daysText(recital.daysLeft)}
                </p>
                <BelongingMenu of={{ kind: "recital", id: recital.id, title: recital.title, called: recital.title }}>
                  <DropdownMenu.Item className={MENU_ITEM} onSelect={() => setOpen(recital.id)}>
                    Move to another day…
                  </DropdownMenu.Item>
                  <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void endIt(recital, !recital.ended)}>
                    {recital.ended ? "It is not over after all" : "It is over"}
                  </DropdownMenu.Item>
                </BelongingMenu>
              </>
            )}
          </li>
        ))}
        <li>
          {open === "new" ? (
            <NewForm playerId={playerId} onDone={done} />
          ) : (
            <button
              type="button"
              className="flex min-h-11 items-center gap-2 text-sm text-soft hover:text-ink"
              onClick={() => setOpen("new")}
            >
              <CalendarPlus size={16} aria-hidden /> {recitals.length === 0 ? "Set a recital" : "Another recital"}
            </button>
          )}
        </li>
      </ul>
    </section>
  );
}

async function endIt({ id, title }: RecitalData, ended: boolean): Promise<void> {
  const say = (is: boolean) => {
    const asked = { id, request: newId(), ended: is };
    return ask("recitals", () => endOfRecital(asked));
  };
  if (!(await say(ended))) return;
  const said = ended ? `${title} is over. Nothing is planned for it any more.` : `${title} is to come again.`;
  noticeWithUndo(said, () => void say(!ended));
}

function daysText(days: number): string {
  if (days < 0) return ", over";
  return days === 0 ? ", today" : `, in ${days} ${days === 1 ? "day" : "days"}`;
}

function NewForm({ playerId, onDone }: { playerId: string; onDone: () => void }) {
  const [id] = useState(() => newId());
  const [title, setTitle] = useState("");
  const [heldOn, setHeldOn] = useState("");
  const { busy, ask: asking } = useAsk("recitals");
  const [complaint, complain] = useState<string | undefined>();
  const make = async (): Promise<void> => {
    const answer = await asking(() => newRecital({ id, playerId, title, heldOn }));
    if (answer.ok) onDone();
    else complain(answer.message);
  };
  return (
    <form
      aria-label="Another recital"
      className="flex flex-wrap items-end gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <Field label="What it is called" error={complaint}>
        {(field, by) => (
          <input
            id={field}
            aria-describedby={by}
            className={INPUT_LOOK}
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
        )}
      </Field>
      <DayField value={heldOn} onChange={setHeldOn} />
      <Button type="submit" look="main" disabled={busy || title.trim() === "" || heldOn === ""}>
        Make it
      </Button>
      <Button look="quiet" onClick={onDone}>
        Not now
      </Button>
    </form>
  );
}

function MoveForm({ recital: { id, title, heldOn }, onDone }: { recital: RecitalData; onDone: () => void }) {
  const [day, setDay] = useState(heldOn);
  const moveTo = (next: string) => {
    const asked = { id, request: newId(), heldOn: next };
    return ask("recitals", () => holdRecitalOn(asked));
  };
  const move = async (): Promise<void> => {
    if (!(await moveTo(day))) return;
    noticeWithUndo(`${title} is on ${format(parseISO(day), "d MMMM yyyy")} now.`, () => void moveTo(heldOn));
    onDone();
  };
  return (
    <form
      aria-label={`Move ${title}`}
      className="flex flex-wrap items-end gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void move();
      }}
    >
      <DayField label={`${title} is held on`} value={day} onChange={setDay} />
      <Button type="submit" look="main" disabled={day === "" || day === heldOn}>
        Move it
      </Button>
      <Button look="quiet" onClick={onDone}>
        Leave it
      </Button>
    </form>
  );
}

interface DayProps {
  readonly label?: string;
  readonly value: string;
  readonly onChange: (day: string) => void;
}

function DayField({ label = "Day", value, onChange }: DayProps) {
  return (
    <Field label={label}>
      {(id) => (
        <input
          id={id}
          type="date"
          className={INPUT_LOOK}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}
