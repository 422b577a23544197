"use client";

import { useMemo, useState } from "react";
import type { Plan } from "@/core/motion/plan";
import { WATCHED } from "@/core/motion/watch";
import type { Warning } from "@/core/motion/warnings";
import type { Side } from "@/core/hand/finger";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import { AtOnset } from "./at-onset";
import { SignEditor } from "./sign-editor";
import { TuneForm } from "./tune-form";
import { WholePassage } from "./whole-passage";
import type { Tried } from "./use-plan-shown";
import type { PlanMarksInHand } from "./use-plan-marks";

interface Props {
  readonly plan: Plan | null;
  readonly inHand: PlanMarksInHand;
  readonly notes: readonly Note[];
  readonly note: NoteId | null;
  readonly sideOf: (note: NoteId) => Side;
  readonly stretch: readonly NoteId[];
  readonly tried: Tried | null;
  readonly onTry: (tried: Tried | null) => void;
  readonly onGo: (note: NoteId) => void;
}

/** The hand plan in words: what to change, how the hand lies at the note in hand, its groups, its signs, its tune. */
export function PlanPanel({ plan, inHand, notes, note, sideOf, stretch, tried, onTry, onGo }: Props) {
  if (!plan) return <p className="text-soft">The plan is being worked out.</p>;
  const hand = note ? plan.hands.find((h) => h.side === sideOf(note)) : undefined;
  const at = hand && note ? hand.frames.findIndex((f) => f.notes.includes(note)) : -1;
  return (
    <div className="flex flex-col gap-5 text-sm">
      <Warnings warnings={plan.warnings} notes={notes} onGo={onGo} />
      {hand && at >= 0 && <AtOnset {...{ hand, at, inHand, tried, onTry }} tempo={plan.tempo} />}
      <TuneForm plan={plan} inHand={inHand} notes={notes} stretch={stretch} note={note} onGo={onGo} />
      <SignEditor plan={plan} inHand={inHand} notes={notes} note={note} sideOf={sideOf} />
      <WholePassage hands={plan.hands} />
      <Watched inHand={inHand} />
      <p className="border-l-2 border-hairline pl-3 text-xs text-soft">
        Pain, numbness, tingling or a finger that does not obey: stop, rest, and see a clinician who treats musicians.
        Wide openings never cold, and no wider than these hands go by themselves.
      </p>
    </div>
  );
}

/** Kinds of warnings shown before more are asked for. */
const SHOWN = 4;

function Warnings({
  warnings,
  notes,
  onGo,
}: { readonly warnings: readonly Warning[] } & Pick<Props, "notes" | "onGo">) {
  const kinds = useMemo(() => {
    const by = new Map<string, Warning[]>();
    for (const warning of warnings)
      by.set(`${warning.id} ${warning.side}`, [...(by.get(`${warning.id} ${warning.side}`) ?? []), warning]);
    return [...by.values()];
  }, [warnings]);
  const [all, showAll] = useState(false);
  return (
    <section aria-label="What to change">
      <h3 className="font-serif text-lg">What to change</h3>
      {kinds.length === 0 && <p className="text-soft">Nothing stands out at this tempo.</p>}
      <ul>
        {kinds.slice(0, all ? kinds.length : SHOWN).map((kind) => (
          <li key={`${kind[0]!.id} ${kind[0]!.side}`} className="border-b border-hairline py-1.5">
            <button type="button" className="w-full text-left hover:text-velvet" onClick={() => onGo(kind[0]!.note)}>
              <span className="text-soft">{placeOf(kind[0]!.note, notes)}: </span>
              {kind[0]!.words}.
            </button>
            <p className="text-soft">{sentence(kind[0]!.change)}</p>
            {kind.length > 1 && (
              <p className="flex flex-wrap gap-x-2 text-xs">
                <span className="text-soft">also</span>
                {kind.slice(1, 7).map((each) => (
                  <button
                    key={each.note}
                    type="button"
                    title={each.words}
                    onClick={() => onGo(each.note)}
                    className="min-h-6 underline decoration-hairline underline-offset-2 hover:text-velvet"
                  >
                    {shortPlace(each.note, notes)}
                  </button>
                ))}
                {kind.length > 7 && <span className="text-soft">and {kind.length - 7} more</span>}
              </p>
            )}
          </li>
        ))}
      </ul>
      {kinds.length > SHOWN && (
        <button type="button" className="min-h-11 text-soft underline" onClick={() => showAll(!all)}>
          {all ? "Fewer" : `${kinds.length - SHOWN} more`}
        </button>
      )}
    </section>
  );
}

function Watched({ inHand: { marks, setMarks } }: { readonly inHand: PlanMarksInHand }) {
  return (
    <fieldset>
      <legend className="font-serif text-lg">What only an eye sees</legend>
      <p className="text-soft">Tick what you have seen in this passage.</p>
      {WATCHED.map(({ id, words }) => (
        <label key={id} className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            checked={marks.watched.includes(id)}
            onChange={({ target }) =>
              setMarks({
                ...marks,
                watched: target.checked ? [...marks.watched, id] : marks.watched.filter((w) => w !== id),
              })
            }
          />
          {words}
        </label>
      ))}
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          checked={marks.school === "curled-first"}
          onChange={({ target }) => setMarks({ ...marks, school: target.checked ? "curled-first" : "as-played" })}
        />
        My school learns flat passages with curled fingers first
      </label>
    </fieldset>
  );
}

function placeOf(id: NoteId, notes: readonly Note[]): string {
  const note = notes.find((n) => n.id === id);
  return note ? sentence(placeText(note.bar, note.beat)) : "";
}

/** "3, 2½": bar and beat. */
function shortPlace(id: NoteId, notes: readonly Note[]): string {
  return placeOf(id, notes).replace("Bar ", "").replace("beat ", "");
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
