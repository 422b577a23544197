import { MOTION } from "../../../physics";
import { armShare } from "../arm";
import { hz } from "../words";
import type { Cause } from "../cause";

/** Notes, or pairs of notes, that follow one another faster than the fingers of one hand play with ease, whichever they are. */
export const speed: Cause = {
  id: "speed",
  label: "fast",
  unit: "Hz",
  frames: 2,
  source:
    "Onsets a second against what one hand plays with ease, single notes and several at once; straight weight, a choice. Whole chords are the wrist's, see repetition.",
  find({ now, before, weights, hand }, tell) {
    if (before === null || now.struck.length === 0 || now.onset.swept) return;
    const rate = 1000 / now.onset.gap;
    const isDouble = now.struck.length > 1 && before.struck.length > 1;
    const fingers = 1 - armShare(hand, before) * armShare(hand, now);
    const fast = rate - (isDouble ? MOTION.wristEase : MOTION.easyRate);
    const strain = fingers * fast * (isDouble ? weights.speedDouble : weights.speed);
    if (strain > 0) tell(now.struck[0]!.stroke, rate, strain, null, null);
  },
  spared: () => "there is time for every note",
  say: ({ amount }) => `fast for one hand, ${hz(amount)}`,
};
