import { MOTION } from "../../../physics";
import { boundShare } from "../join";
import type { Cause } from "../cause";
import { hz } from "../words";

/** One finger playing twice running. */
export const sameFinger: Cause = {
  id: "same-finger",
  label: "same finger again",
  unit: "Hz",
  frames: 2,
  source:
    "A hop to another key as far as the note is bound; strokes a second against what the finger repeats with ease; straight weights, a choice.",
  find(moment, tell) {
    const { now, before, weights } = moment;
    if (before === null) return;
    const rate = 1000 / now.onset.gap;
    const share = 1 / Math.max(1, now.struck.length);
    for (const to of now.struck) {
      const from = before.struck.find((p) => p.finger === to.finger);
      if (!from) continue;
      const hop = from.stroke.key === to.stroke.key ? 0 : weights.sameFinger * boundShare(from, moment);
      const fast = Math.max(0, rate - (MOTION.repeatEase[to.finger - 1] as number)) * weights.sameFingerPerHz;
      if (hop + fast > 0) tell(to.stroke, rate, share * (hop + fast), to, from);
    }
  },
  spared: () => "no finger strikes twice running",
  say: ({ amount, finger }) => `finger ${finger!.finger} again, ${hz(amount)}`,
};
