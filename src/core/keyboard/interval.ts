import { CONTACT, FIGURE } from "../physics";
import { whiteWidth } from "./geometry";
import type { Instrument } from "./instrument";

/** Intervals of white keys by how many keys the second lies beyond the first. */
export const WHITE_INTERVALS = [
  "second",
  "third",
  "fourth",
  "fifth",
  "sixth",
  "seventh",
  "octave",
  "ninth",
  "tenth",
  "eleventh",
  "twelfth",
] as const;

/** Semitones of a second, at most. */
const MAJOR_SECOND = 2;

/** Whether a move from key to key, in semitones, is a second: one or two, up or down. */
export function isSecond(move: number): boolean {
  return move !== 0 && Math.abs(move) <= MAJOR_SECOND;
}

/** Whether moves from key to key, in semitones, all go one way by steps of a scale, FIGURE.widestStep at most; true of none. */
export function goOneWayBySteps(moves: readonly number[]): boolean {
  return moves.every((move) => move * moves[0]! > 0 && Math.abs(move) <= FIGURE.widestStep);
}

/** mm between contact centres that hold an interval of white keys at their facing edges; steps from 1 for a second. */
export function openingOfInterval(steps: number, on: Instrument): number {
  return (steps - 1) * whiteWidth(on) + CONTACT.patch;
}

/** The widest interval of white keys that an opening holds at facing edges; null below a second. */
export function intervalHeld(opening: number, on: Instrument): string | null {
  const steps = Math.floor((opening - CONTACT.patch) / whiteWidth(on) + 1e-9) + 1;
  return WHITE_INTERVALS[Math.min(steps, WHITE_INTERVALS.length) - 1] ?? null;
}
