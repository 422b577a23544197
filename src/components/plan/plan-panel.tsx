"use client";

import type { SignsShown } from "@/core/motion/marks/signs";
import type { Plan } from "@/core/motion/plan/plan";
import type { Side } from "@/core/hand/finger";
import type { Note, NoteId } from "@/core/passage/note";
import { AtOnset } from "./at-onset";
import { SignEditor } from "./signs/sign-editor";
import { TuneForm } from "./forms/tune-form";
import { WarningList } from "./warning-list";
import { WatchedForm } from "./forms/watched-form";
import { WholePassage } from "./forms/whole-passage";
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
  /** Which signs stand on the score. */
  readonly signs: SignsShown;
}

/** The hand plan in words: what to change, how the hand lies at the note in hand, its groups, its signs, its tune. */
export function PlanPanel({ plan, inHand, notes, note, sideOf, stretch, tried, onTry, onGo, signs }: Props) {
  if (!plan) return <p className="text-soft">The plan is being worked out.</p>;
  const hand = note ? plan.hands.find((h) => h.side === sideOf(note)) : undefined;
  const at = hand && note ? hand.frames.findIndex((f) => f.notes.includes(note)) : -1;
  return (
    <div className="flex flex-col gap-5 text-sm">
      <WarningList warnings={plan.warnings} notes={notes} onGo={onGo} />
      {hand && at >= 0 && <AtOnset {...{ hand, at, inHand, tried, onTry }} tempo={plan.tempo} />}
      <TuneForm plan={plan} inHand={inHand} notes={notes} stretch={stretch} note={note} onGo={onGo} />
      <SignEditor plan={plan} inHand={inHand} notes={notes} note={note} sideOf={sideOf} shown={signs} />
      <WholePassage hands={plan.hands} />
      <WatchedForm inHand={inHand} />
      <p className="border-l-2 border-hairline pl-3 text-xs text-soft">
        Pain, numbness, tingling or a finger that does not obey: stop, rest, and see a clinician who treats musicians.
        Wide openings never cold, and no wider than these hands go by themselves.
      </p>
    </div>
  );
}
