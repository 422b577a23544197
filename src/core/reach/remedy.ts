import type { NoteRemedies, RemedyKind } from "../passage/remedied";
import type { Allowances } from "./allowances";
import type { Predicament } from "./predicament";

/** One remedy, before it has been tried. */
export interface Proposal {
  readonly kind: RemedyKind;
  readonly notes: NoteRemedies;
  /** What is lost by it, 0 nothing to 100 the music itself. A choice, stated in each remedy's file. */
  readonly loss: number;
  /** In the player's words, a whole sentence. */
  readonly words: string;
}

/** A kind of remedy. Each is a file in remedies/. */
export interface Remedy {
  readonly kind: RemedyKind;
  /** As the player reads it. */
  readonly label: string;
  /** Every way of this kind that the player allows and that may help; whether it does is for the solver to say. */
  propose(predicament: Predicament, allows: Allowances): readonly Proposal[];
}
