import { MOTION } from "../../../physics";
import { armShare, sameKeys } from "../arm";
import { pace } from "../pace";
import { fastFor } from "../rebound";
import { hz } from "../words";
import type { Cause } from "../cause";

/** A finger, or the wrist with a whole chord, striking again faster than it does with ease. */
export const repetition: Cause = {
  id: "repetition",
  label: "struck again",
  unit: "Hz",
  frames: 2,
  source:
    "Strokes a second against what a finger, or the wrist, repeats with ease, a finger on a single key as if it were twice and no more; straight weight; a stroke of the wrist for itself, more the less time it has. Several keys struck again are the wrist's, whichever fingers take them. Choices.",
  find({ now, before, weights, hand }, tell) {
    if (before === null || now.struck.length === 0) return;
    const rate = 1000 / now.onset.gap;
    const isSingle = now.struck.length === 1 && before.struck.length === 1;
    const wrist = now.struck.length > 1 && sameKeys(before, now) ? 1 : armShare(hand, before) * armShare(hand, now);
    const fingers = (1 - wrist) / now.struck.length;
    for (const to of now.struck) {
      const from = before.struck.find((p) => p.finger === to.finger);
      if (!from || fingers === 0) continue;
      const fast = fastFor(to, rate, isSingle && from.key === to.key ? "twice" : "more");
      if (fast > 0) tell(to.stroke, rate, fingers * fast * weights.repetitionPerHz, to, from);
    }
    const fast = Math.max(0, rate - MOTION.wristEase);
    const strain = wrist * (weights.wristStroke * pace(now.onset.gap) + fast * weights.repetitionPerHz);
    if (strain > 0) tell(now.struck[0]!.stroke, rate, strain, null, null);
  },
  spared: () => "nothing is repeated so fast",
  say: ({ amount, finger }) =>
    finger ? `${finger.finger} strikes again, ${hz(amount)}` : `whole chords, ${hz(amount)}`,
};
