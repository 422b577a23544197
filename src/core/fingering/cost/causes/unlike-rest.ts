import type { Hand } from "../../../hand/hand";
import type { Press } from "../../frames/frame";
import { besideRest, restOf, type AtRest } from "../at-rest";
import type { Cause } from "../cause";
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
    const rest = besideRest(hand, now);
    if (rest === null) return;
    const off = offRest(hand, now.struck, rest);
    if (off > 0) tell(now.struck[0]!.stroke, off, off * weights.unlikeRest, null, null);
  },
  spared: () => "the fingers lie as at rest",
  say: ({ amount }) => `the inner fingers lie ${mm(amount)} from where they rest`,
};

/** mm, mean over the inner fingers; less the farther the outer ones open beyond relaxed. */
function offRest(hand: Hand, struck: readonly Press[], { low, restApart, apart, relaxed }: AtRest): number {
  const open = apart / restApart;
  const inner = struck.slice(1, -1);
  const off = (at: Press): number => Math.abs(at.x - low.x - open * (restOf(hand, at) - restOf(hand, low)));
  return (relaxed * inner.reduce((sum, at) => sum + off(at), 0)) / inner.length;
}
