import { limitsOf, type Hand } from "../../../hand/hand";
import { MOTION } from "../../../physics";
import type { Press } from "../../frames/frame";
import type { Cause } from "../cause";
import { apart } from "../pairs";
import { mm } from "../words";

/** A chord whose inner fingers do not lie between the outer ones as they lie in the hand at rest. */
export const unlikeRest: Cause = {
  id: "unlike-rest",
  label: "fingers off their places",
  unit: "mm",
  frames: 2,
  source:
    "mm by which the inner fingers of a chord lie on the mean from where they rest, the hand as far open as its outer ones are, as long as these are relaxed; straight weight. A choice: of fingers that reach all keys alike a player takes those that lie over them.",
  find({ now, hand, weights }, tell) {
    if (now.struck.length < MOTION.wholeFrom) return;
    const off = offRest(hand, now.struck);
    if (off > 0) tell(now.struck[0]!.stroke, off, off * weights.unlikeRest, null, null);
  },
  spared: () => "the fingers lie as at rest",
  say: ({ amount }) => `the inner fingers lie ${mm(amount)} from where they rest`,
};

/**
 * mm, mean over the inner fingers; less the farther the outer ones open beyond relaxed, for there the thumb opens most, and
 * nothing MOTION.rampMm beyond it or where one finger takes both ends.
 */
function offRest(hand: Hand, struck: readonly Press[]): number {
  const rest = (at: Press): number => hand.restOffsets[at.finger - 1]!;
  const [low, high] = [struck[0]!, struck.at(-1)!];
  if (low.finger === high.finger) return 0;
  const beyond = apart(low, high) - limitsOf(hand, low.finger, high.finger).widestRelaxed;
  const relaxed = Math.min(1, 1 - beyond / MOTION.rampMm);
  if (relaxed <= 0) return 0;
  const open = (high.x - low.x) / (rest(high) - rest(low));
  const inner = struck.slice(1, -1);
  const off = (at: Press): number => Math.abs(at.x - low.x - open * (rest(at) - rest(low)));
  return (relaxed * inner.reduce((sum, at) => sum + off(at), 0)) / inner.length;
}
