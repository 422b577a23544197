import { limitsOf } from "../../../hand/hand";
import type { Cause } from "../cause";
import { fingers, mm } from "../words";

/** Three single notes that do not lie under one placed hand. */
export const position: Cause = {
  id: "position",
  label: "position changed",
  unit: "mm",
  frames: 3,
  source: "The position-change rules of the ergonomic model cited in hand/proportions, in mm; weights are a choice.",
  find({ now, before, earlier, weights, hand }, tell) {
    if (earlier === null || before === null || now.onset.swept || before.onset.swept) return;
    const [from, through, to] = [earlier.struck[0], before.struck[0], now.struck[0]];
    if (!from || !through || !to || earlier.struck.length + before.struck.length + now.struck.length > 3) return;
    const perMm = weights.positionPerMm[Math.max(from.finger, to.finger, 2) - 2] as number;
    if (from.stroke.key === to.stroke.key) {
      if (from.finger !== to.finger) tell(to.stroke, 0, weights.position, to, from);
      return;
    }
    if (from.finger === to.finger) {
      const distance = Math.abs(to.x - from.x);
      tell(to.stroke, distance, weights.position + distance * perMm, to, from);
      return;
    }
    const limits = limitsOf(hand, from.finger, to.finger);
    const distance = from.finger < to.finger ? to.x - from.x : from.x - to.x;
    const beyond = Math.max(distance - limits.widestComfortable, limits.leastComfortable - distance);
    if (beyond > 0) tell(to.stroke, beyond, weights.position + beyond * perMm, to, from);
  },
  spared: () => "the hand stays where it is placed",
  say: ({ amount, finger, other }) =>
    amount === 0
      ? `finger changed on the same key, ${fingers(other, finger)}`
      : `from ${other!.finger} to ${finger!.finger} over the note between is ${mm(amount)} more than one placed hand`,
};
