import { MOTION } from "../../../physics";
import type { Hand } from "../../../hand/hand";
import type { Press } from "../../frames/frame";
import type { Cause } from "../cause";

/** A triad in thirds, struck or broken in its place, that is not fingered as five fingers lie over its keys and those between. */
export const offTriad: Cause = {
  id: "off-triad",
  label: "triad off its fingers",
  unit: "notes",
  frames: 1,
  source:
    "Fingers by which three keys, each a third from the next, lie farther off than the nearest, where five fingers share the half steps between them evenly; straight weight, a choice, after teaching practice: a triad in root position is 1 3 5, wherever its keys are black.",
  find({ now: { struck, onset }, hand, weights }, tell) {
    const isBroken = struck.length === 1;
    const keys = isBroken ? inOrderOf(hand, onset.liesOver) : struck.map(({ key }) => key);
    if (keys.length !== MOTION.wholeFrom || !isInThirds(keys)) return;
    const off = struck.reduce((sum, press) => sum + offBy(press, keys[0]!, keys.at(-1)!), 0);
    if (off > 0) tell(struck[0]!.stroke, off, off * weights.offTriad, struck.at(-1)!, isBroken ? null : struck[0]!);
  },
  spared: () => "the triad lies under five fingers",
  say: () => "other fingers than 1, 3 and 5 on a triad",
};

/** Keys from the lowest, in the order of a hand's fingers from the thumb. */
function inOrderOf({ side }: Hand, keys: readonly number[]): readonly number[] {
  return side === "right" ? keys : keys.toReversed();
}

/** Fingers by which a press lies farther off than the nearest finger would. */
function offBy({ key, finger }: Press, low: number, high: number): number {
  const share = (4 * (key - low)) / (high - low);
  return Math.abs(share - (finger - 1)) - Math.abs(share - Math.round(share));
}

function isInThirds(keys: readonly number[]): boolean {
  return keys.slice(1).every((key, i) => MOTION.thirds.includes(Math.abs(key - keys[i]!)));
}
