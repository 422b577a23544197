import { MOTION } from "../../../physics";
import type { Cause } from "../cause";
import { hz } from "../words";

/** One finger playing twice running. */
export const sameFinger: Cause = {
  id: "same-finger",
  label: "same finger again",
  unit: "Hz",
  frames: 2,
  source: "Strokes a second of one finger against what it repeats with ease; straight weight, a choice.",
  find({ now, before, weights, manner }, tell) {
    if (before === null) return;
    const rate = 1000 / now.onset.gap;
    const share = 1 / Math.max(1, now.struck.length);
    for (const to of now.struck) {
      const from = before.struck.find((p) => p.finger === to.finger);
      if (!from) continue;
      const hop = from.stroke.key === to.stroke.key ? 0 : weights.sameFinger * (manner.touch === "legato" ? 1 : 0.5);
      const fast = Math.max(0, rate - (MOTION.repeatEase[to.finger - 1] as number)) * weights.sameFingerPerHz;
      if (hop + fast > 0) tell(to.stroke, rate, share * (hop + fast), to, from);
    }
  },
  say: ({ amount, finger }) => `finger ${finger!.finger} again, ${hz(amount)}`,
};
