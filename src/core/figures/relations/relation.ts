import type { Side } from "../../hand/finger";
import type { MelodyOnset } from "../melody";

/** A way in which one group of notes can answer another. Each is a file in relations/. */
export interface Relation {
  readonly name: string;
  /** Whether the answer may stand in these hands. */
  between(figure: Side, answer: Side): boolean;
  /** What stays the same over the whole of a figure and its answer; null where two onsets cannot answer each other. */
  shift(figure: MelodyOnset, answer: MelodyOnset): number | null;
  /** How much such a return is worth against one that is the very same, 0 to 1. A choice. */
  readonly worth: number;
  /** In the player's words. */
  say(by: number): string;
}

/** Whether a figure and its return are played by one hand. */
export function sameSide(a: Side, b: Side): boolean {
  return a === b;
}

/** The one distance between two lists of the same length, place by place; null where there is none. */
export function commonShift(from: readonly number[], to: readonly number[]): number | null {
  if (from.length !== to.length) return null;
  const by = to[0]! - from[0]!;
  for (let i = 1; i < from.length; i++) if (to[i]! - from[i]! !== by) return null;
  return by;
}
