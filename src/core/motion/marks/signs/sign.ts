import type { Side } from "../../../hand/finger";
import type { NoteId } from "../../../passage/note";
import type { HandPlan } from "../../plan/hand-plan";

/** Where a sign stands: at a note, or over a run from one to another. */
export interface SignFound {
  readonly note: NoteId;
  /** The last note of what it spans; null for one place. */
  readonly to: NoteId | null;
}

/** One sign of the plan. Each is a file in signs/. */
export interface Sign {
  readonly id: string;
  /** What it says, in the legend and as words in a file. */
  readonly words: string;
  /** Where the plan of a hand asks for it. */
  find(hand: HandPlan): readonly SignFound[];
}

/** A sign as it stands on the score. */
export interface SignPlaced extends SignFound {
  /** Told apart from every other: what it is and where, or its own name. */
  readonly key: string;
  readonly sign: string;
  readonly side: Side;
  readonly words: string;
  /** Over the staff, or under it. */
  readonly above: boolean;
  /** Whether the player put it there. */
  readonly own: boolean;
}

/** A sign found at a note; none where there is no note. */
export const at = (note: NoteId | undefined): readonly SignFound[] => (note ? [{ note, to: null }] : []);
