"use client";

import { ArrowLeft, ArrowRight, ArrowUpDown, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import type { Side } from "@/core/hand/finger";
import type { Plan } from "@/core/motion/plan/plan";
import type { OwnSign } from "@/core/motion/marks/plan-marks";
import { OWN_WORDS, SIGNS, signsOf, type SignPlaced } from "@/core/motion/marks/signs";
import type { Note, NoteId } from "@/core/passage/note";
import { Button } from "../../ui/button";
import { SignDrawing } from "./sign-drawing";
import { SignLegend } from "./sign-legend";
import type { PlanMarksInHand } from "../use-plan-marks";
import { newId } from "../../new-id";

interface Props {
  readonly plan: Plan;
  readonly inHand: PlanMarksInHand;
  readonly notes: readonly Note[];
  readonly note: NoteId | null;
  readonly sideOf: (note: NoteId) => Side;
}

/** The signs at the note in hand: put there, moved, turned over, taken away; words of one's own; the key to all. */
export function SignEditor({ plan, inHand, notes, note, sideOf }: Props) {
  const { marks, setMarks, setWithUndo } = inHand;
  const placed = useMemo(() => signsOf(plan, marks, sideOf), [plan, marks, sideOf]);
  const here = placed.filter((s) => s.note === note);
  const [words, setWords] = useState("");
  const add = (sign: string, own: string | null): void => {
    if (!note) return;
    setMarks({
      ...marks,
      signs: [...marks.signs, { id: newId(), sign, note, to: null, above: sideOf(note) === "right", words: own }],
    });
  };
  const without = (gone: SignPlaced) =>
    gone.own
      ? { ...marks, signs: marks.signs.filter((s) => s.id !== gone.key) }
      : { ...marks, hidden: [...marks.hidden, gone.key] };
  /** A sign of the plan that is changed becomes the player's own. */
  const change = (sign: SignPlaced, to: Partial<OwnSign>): void => {
    const own: OwnSign = {
      id: sign.own ? sign.key : newId(),
      sign: sign.sign,
      note: sign.note,
      to: sign.to,
      above: sign.above,
      words: sign.sign === OWN_WORDS ? sign.words : null,
      ...to,
    };
    setMarks({ ...without(sign), signs: [...marks.signs.filter((s) => s.id !== own.id), own] });
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
          <li key={sign.key} className="flex items-center gap-1 border-b border-hairline">
            <span className="flex-1">{sign.words}</span>
            {([-1, 1] as const).map((by) => {
              const to = beside(sign, by);
              return (
                <Button
                  key={by}
                  className="w-9 px-0!"
                  disabled={!to}
                  aria-label={`Move ${sign.words} to the note ${by < 0 ? "before" : "after"}`}
                  onClick={() => to && change(sign, { note: to, to: sign.to })}
                >
                  {by < 0 ? <ArrowLeft size={14} aria-hidden /> : <ArrowRight size={14} aria-hidden />}
                </Button>
              );
            })}
            <Button
              className="w-9 px-0!"
              aria-label={`Put ${sign.words} ${sign.above ? "under" : "over"} the staff`}
              onClick={() => change(sign, { above: !sign.above })}
            >
              <ArrowUpDown size={14} aria-hidden />
            </Button>
            <Button
              className="w-9 px-0!"
              aria-label={`Take away ${sign.words}`}
              onClick={() => setWithUndo(without(sign), `Taken away: ${sign.words}.`)}
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap" role="group" aria-label="Put a sign here">
        {SIGNS.filter((s) => s.id !== "group").map(({ id, words: says }) => (
          <button
            key={id}
            type="button"
            aria-label={`Put here: ${says}`}
            title={says}
            disabled={!note}
            onClick={() => add(id, null)}
            className="size-11 border border-hairline hover:border-velvet"
          >
            <svg width={22} height={20} viewBox="-9 -8 18 16" className="mx-auto" aria-hidden>
              <SignDrawing sign={id} />
            </svg>
          </button>
        ))}
      </div>
      <form
        className="flex gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (words.trim() === "") return;
          add(OWN_WORDS, words.trim());
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
      <details>
        <summary className="min-h-9 text-soft">What the signs mean</summary>
        <SignLegend />
      </details>
    </section>
  );
}
