import type { Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import type { Fingering, Pins } from "../study/fingering";

/** Notes that are to be played by the same finger, whichever it is. */
export type Bond = readonly NoteId[];

/** A note of a figure, and those that answer it when the figure returns. */
export interface Memory {
  readonly note: NoteId;
  /** Each with the strain that it may cost at most to keep the figure's finger there. */
  readonly returns: readonly { readonly note: NoteId; readonly worth: number }[];
}

/**
 * A stretch in which the hand stays where it is: key by key the notes on it, each list in the order in which they come. No more
 * than ten keys, and no two stays of one hand at one time.
 */
export interface Stay {
  readonly keys: readonly (readonly NoteId[])[];
  /** Strain that it may cost at most, each time, that a key keeps its finger and a finger its key. */
  readonly worth: number;
}

/** Fingers that are not to play a note. */
export type RuledOut = Readonly<Record<NoteId, readonly Finger[]>>;

/** What the player asks of a fingering before it is looked for. Everything is free where nothing is said. */
export interface Conditions {
  /** This finger here. */
  readonly pins?: Pins;
  /** Not these fingers here. */
  readonly ruledOut?: RuledOut;
  /** Keep the thumb off every black key. */
  readonly noThumbOnBlack?: boolean;
  /** Never 4 and 5 one after the other. */
  readonly noFourthAndFifth?: boolean;
  /** Notes that one finger must hold to their end. */
  readonly mustHold?: readonly NoteId[];
  /** Asked for by the player: they give way only where no one finger can play all of a bond. */
  readonly bonds?: readonly Bond[];
  /** Worth something to the memory: they give way where keeping them strains more than that. */
  readonly memories?: readonly Memory[];
  /** Digits that are to stay as they are: they give way where keeping one strains more than that. */
  readonly standing?: { readonly digits: Fingering; readonly worth: number };
  /** Worth something to the memory as well, wherever a key is struck again. */
  readonly stays?: readonly Stay[];
  /** Worth nothing but between fingerings that strain alike, where neither bonds nor memories are asked for. */
  readonly settling?: readonly Memory[];
}
