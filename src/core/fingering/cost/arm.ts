import { limitsOf, type Hand } from "../../hand/hand";
import { MOTION } from "../../physics";
import type { Frame } from "../frames/frame";
import { mmBetween } from "./pairs";

/**
 * How far the arm, and not single fingers, sets down what a frame strikes: 1 for chords of three notes and more and for
 * two that lie wider than the hand does relaxed, 0 for a single note and narrow pairs, between them smoothly.
 */
export function armShare(hand: Hand, { struck }: Pick<Frame, "struck">): number {
  if (struck.length !== 2) return struck.length >= MOTION.wholeFrom ? 1 : 0;
  return wideShare(hand, Math.abs(mmBetween(struck[0]!, struck[1]!)));
}

/** How far two keys lie wider than the hand does relaxed, in mm between them: 0 within that, 1 from a little beyond. */
export function wideShare(hand: Hand, mm: number): number {
  return Math.min(1, Math.max(0, (mm - limitsOf(hand, 1, 5).widestRelaxed) / MOTION.rampMm));
}

/**
 * How little of a line there is between two frames to be broken: 0 between single notes and between narrow pairs, 1 between two
 * chords, half to and from one, and half at least where a single note and several follow one another, as a bass and what is
 * struck after it. What is held on beyond the second frame is no part of that: the arm stays where it is.
 */
export function armBetween(hand: Hand, before: Frame, now: Frame): number {
  const from = now.held.length === 0 ? before : { struck: before.struck.filter((press) => !now.held.includes(press)) };
  const least = (from.struck.length === 1) === (now.struck.length === 1) ? 0 : MOTION.noteToSeveral;
  return Math.max(least, (armShare(hand, from) + armShare(hand, now)) / 2);
}

/** Whether two frames strike the same keys: the hand stays over them. */
export function sameKeys({ struck: from }: Frame, { struck: to }: Frame): boolean {
  return from.length === to.length && to.every(({ key }, i) => from[i]!.key === key);
}
