import type { Hand } from "../../hand/hand";
import type { Instrument } from "../../keyboard/instrument";
import type { Stroke } from "../../passage/strokes";
import type { Manner } from "../../passage/passage";
import type { Placements } from "../../placement/placements";
import type { Frame, Press } from "../frames/frame";
import type { Weights } from "./weights";

type Unit = "mm" | "ms" | "Hz" | "notes";

/**
 * What a cause may look at: up to three consecutive frames, the last of them now, with the hand, the
 * instrument, the manner of playing and the weights. One object is refilled for speed: keep no reference to it.
 */
export interface Moment {
  readonly hand: Hand;
  readonly instrument: Instrument;
  readonly placements: Placements;
  readonly manner: Manner;
  readonly weights: Weights;
  readonly now: Frame;
  /** The frame before now; null at the first onset, or for a cause that looks at one frame. */
  readonly before: Frame | null;
  /** The frame before that; null at the first two onsets, or for a cause that looks at fewer. */
  readonly earlier: Frame | null;
  /** Whether the hand lets go before now and is set down anew by the arm, and whether it did so before `before`; see cost/join. */
  readonly letGo: boolean;
  readonly letGoBefore: boolean;
}

/**
 * Reports one finding of a cause.
 * @param stroke the stroke it falls on
 * @param amount how much, in the cause's unit
 * @param strain what it adds to the note, on the 0 to 100 scale
 * @param finger the press it is about, null for a stroke that nobody plays
 * @param other the press it is measured against, if any
 */
export type Tell = (stroke: Stroke, amount: number, strain: number, finger: Press | null, other: Press | null) => void;

/** What a cause found, kept for the player. */
export interface CauseFound {
  readonly amount: number;
  readonly strain: number;
  readonly finger: Press | null;
  readonly other: Press | null;
}

/** One named reason why a note strains. Each is a file in causes/. */
export interface Cause {
  readonly id: string;
  /** As the player reads it. */
  readonly label: string;
  readonly unit: Unit;
  /** How many consecutive frames it looks at, ending with now. */
  readonly frames: 1 | 2 | 3;
  /** Where its measure and curve come from, or that they are a choice. */
  readonly source: string;
  find(moment: Moment, tell: Tell): void;
  /** What is the better for its being gone, in the player's words: "the thumb stays on white". */
  spared(found: CauseFound): string;
  /** The finding in the player's words, without bar and beat. */
  say(found: CauseFound): string;
}
