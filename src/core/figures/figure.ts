import type { Side } from "../hand/finger";
import type { NoteId } from "../passage/note";
import { FIGURE } from "../physics";
import type { RelationName } from "./relations";

/** Notes of one hand that come again. */
export interface Figure {
  readonly side: Side;
  /** Onset by onset, within a chord from the thumb's side outwards. */
  readonly notes: readonly NoteId[];
  /** In the order in which they come, those in the figure's own hand first. */
  readonly returns: readonly FigureReturn[];
}

/** One time a figure comes again. */
export interface FigureReturn {
  readonly relation: RelationName;
  readonly side: Side;
  /** Each answers the figure's note of the same place. */
  readonly notes: readonly NoteId[];
  /** Semitones it is moved by, steps of the scale where it moves along that, the sum of two keys where it is reflected. */
  readonly by: number;
  /** Share of its notes that lie on a key of the same colour as in the figure, 0 to 1: at 1 the hand feels the same. */
  readonly alike: number;
  /** Whether it follows in a sequence: some whole lengths of the figure after it, or before, in its own hand. */
  readonly inSequence: boolean;
  /** Places in notes that depart from the figure. */
  readonly changed: readonly number[];
}

/**
 * How much the same fingers feel the same, 0 to 1: wholly, unchanged, in the same hand, on the same keys or octaves of them;
 * in a sequence, where the hand moves along from one to the next, as much as is the share of its keys that have the colour they
 * had; else not at all.
 */
export function sameness(given: FigureReturn): number {
  const { relation, changed, alike } = given;
  if (changed.length > 0) return 0;
  if (relation === "exact" || relation === "octave") return 1;
  return isMovedAlong(given) && alike >= FIGURE.alikeFrom ? alike : 0;
}

/** Whether the figure follows itself there, unchanged, on other steps: the hand moves along with it. */
export function isMovedAlong({ relation, changed, inSequence }: FigureReturn): boolean {
  return inSequence && changed.length === 0 && (relation === "diatonic" || relation === "chromatic");
}

/** Whether the same fingers feel the same at all. */
export function feelsTheSame(given: FigureReturn): boolean {
  return sameness(given) > 0;
}

/** Whether the same fingers can be asked for: a figure turned upside down in one hand needs others. */
export function takesSameFingers({ relation }: FigureReturn): boolean {
  return relation !== "inverted";
}
