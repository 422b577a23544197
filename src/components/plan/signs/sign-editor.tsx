"use client";

import { ArrowLeft, ArrowRight, ArrowUpDown, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import type { Side } from "@/core/hand/finger";
import type { Plan } from "@/core/motion/plan/plan";
import type { OwnSign, PlanMarks } from "@/core/motion/marks/plan-marks";
import { OWN_WORDS, SIGNS, signsOf, type SignPlaced, type SignsShown } from "@/core/motion/marks/signs";
import type { Note, NoteId } from "@/core/passage/note";
import { Button } from "../../ui/button";
import { SignDrawing } from "../../score/plan/sign-drawing";
import { SignLegend } from "./sign-legend";
import type { PlanMarksInHand } from "../use-plan-marks";
import { newId } from "../../new-id";

interface Props {
  readonly plan: Plan;
  readonly inHand: PlanMarksInHand;
  readonly notes: readonly Note[];
  readonly note: NoteId | null;
  readonly sideOf: (note: NoteId) => Side;
  /** Which signs stand on the score. */
  readonly shown: SignsShown;
}

/** The signs at the note in hand: put there, moved, turned over, taken away; words of one's own; the key to all. */
export function SignEditor({ plan, inHand, notes, note, sideOf, shown }: Props) {
  const { marks, setMarks, setWithUndo } = inHand;
  const placed = useMemo(() => signsOf(plan, marks, sideOf, shown), [plan, marks, sideOf, shown]);
  const here = placed.filter((s) => s.note === note);
  const add = (sign: string, words: string | null): void => {
    if (!note) return;
    const own = { id: newId(), sign, note, to: null, above: sideOf(note) === "right", words };
    setMarks({ ...marks, signs: [...marks.signs, own] });
  };
  const beside = (sign: SignPlaced, by: 1 | -1): NoteId | undefined => {
    const line = notes.filter((n) => sideOf(n.id) === sign.side);
    return line[line.findIndex((n) => n.id === sign.note) + by]?.id;
  };
  return (
    <section aria-label="Signs" className="flex flex-col gap-1.5">
      <h3 className="font-serif text-lg">Signs here</h3>
      {here.length === 0 && <p className="text-soft">None at this note.</p>}
      <ul>
        {here.map((sign) => (
          <SignHere
            key={sign.key}
            sign={sign}
            beside={(by) => beside(sign, by)}
            onChange={(to) => setMarks(changed(marks, sign, to))}
            onTakeAway={() => setWithUndo(without(marks, sign), `Taken away: ${sign.words}.`)}
          />
        ))}
      </ul>
      <SignsToPut disabled={!note} onPut={(id) => add(id, null)} />
      <OwnWords onWrite={(words) => add(OWN_WORDS, words)} />
      <details>
        <summary className="min-h-9 text-soft">What the signs mean</summary>
        <SignLegend />
      </details>
    </section>
  );
}

interface HereProps {
  readonly sign: SignPlaced;
  /** The note before or after it in its hand. */
  readonly beside: (by: 1 | -1) => NoteId | undefined;
  readonly onChange: (to: Partial<OwnSign>) => void;
  readonly onTakeAway: () => void;
}

/** A sign at the note in hand, and what can be done with it. */
function SignHere({ sign, beside, onChange, onTakeAway }: HereProps) {
  return (
    <li className="flex items-center gap-1 border-b border-hairline">
      <span className="flex-1">{sign.words}</span>
      {([-1, 1] as const).map((by) => {
        const to = beside(by);
        return (
          <Button
            key={by}
            className="w-9 px-0!"
            disabled={!to}
            aria-label={`Move ${sign.words} to the note ${by < 0 ? "before" : "after"}`}
            onClick={() => to && onChange({ note: to, to: sign.to })}
          >
            {by < 0 ? <ArrowLeft size={14} aria-hidden /> : <ArrowRight size={14} aria-hidden />}
          </Button>
        );
      })}
      <Button
        className="w-9 px-0!"
        aria-label={`Put ${sign.words} ${sign.above ? "under" : "over"} the staff`}
        onClick={() => onChange({ above: !sign.above })}
      >
        <ArrowUpDown size={14} aria-hidden />
      </Button>
      <Button className="w-9 px-0!" aria-label={`Take away ${sign.words}`} onClick={onTakeAway}>
        <Trash2 size={14} aria-hidden />
      </Button>
    </li>
  );
}

/** Every sign that may be put at a note. */
function SignsToPut({ disabled, onPut }: { disabled: boolean; onPut: (sign: string) => void }) {
  return (
    <div className="flex flex-wrap" role="group" aria-label="Put a sign here">
      {SIGNS.filter((s) => s.id !== "group").map(({ id, words }) => (
        <button
          key={id}
          type="button"
          aria-label={`Put here: ${words}`}
          title={words}
          disabled={disabled}
          onClick={() => onPut(id)}
          className="size-11 border border-hairline hover:border-velvet"
        >
          <svg width={22} height={20} viewBox="-9 -8 18 16" className="mx-auto" aria-hidden>
            <SignDrawing sign={id} />
          </svg>
        </button>
      ))}
    </div>
  );
}

function OwnWords({ onWrite }: { onWrite: (words: string) => void }) {
  const [words, setWords] = useState("");
  return (
    <form
      className="flex gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (words.trim() === "") return;
        onWrite(words.trim());
        setWords("");
      }}
    >
      <input
        aria-label="Words of your own"
        placeholder="words of your own"
        value={words}
        maxLength={120}
        onChange={({ target }) => setWords(target.value)}
        className="min-h-11 min-w-0 flex-1 border border-hairline bg-paper px-2"
      />
      <Button type="submit">Write</Button>
    </form>
  );
}

/** The marks without a sign: one's own goes, one of the plan's is hidden. */
function without(marks: PlanMarks, gone: SignPlaced): PlanMarks {
  return gone.own
    ? { ...marks, signs: marks.signs.filter((s) => s.id !== gone.key) }
    : { ...marks, hidden: [...marks.hidden, gone.key] };
}

/** The marks with a sign changed; one of the plan's becomes the player's own. */
function changed(marks: PlanMarks, sign: SignPlaced, to: Partial<OwnSign>): PlanMarks {
  const own: OwnSign = {
    id: sign.own ? sign.key : newId(),
    sign: sign.sign,
    note: sign.note,
    to: sign.to,
    above: sign.above,
    words: sign.sign === OWN_WORDS ? sign.words : null,
    ...to,
  };
  return { ...without(marks, sign), signs: [...marks.signs.filter((s) => s.id !== own.id), own] };
}
