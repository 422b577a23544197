import { fingerName } from "../../../hand/finger";
import { MOTION } from "../../../physics";
import type { Frame, Press } from "../../frames/frame";
import type { Cause } from "../cause";
import { pace } from "../pace";
import { fingerOnKey } from "../words";

/** Thumb or little finger on a black key: the hand must go in. Little where it lies in already, less where a chord has it lie in. */
export const outerOnBlack: Cause = {
  id: "outer-on-black",
  label: "thumb or little finger on black",
  unit: "mm",
  frames: 3,
  source:
    "The black-key rules of the ergonomic model cited in hand/proportions; the mm are how far the hand is drawn in. The way in is priced once: what is left while the hand lies in, and of a chord, whose placement tells the rest, is a choice.",
  find({ now, before, earlier, weights, hand }, tell) {
    for (const at of now.struck) {
      if (!at.black || (at.finger !== 1 && at.finger !== 5)) continue;
      const whole = now.struck.length >= MOTION.wholeFrom ? MOTION.inWithChord : 1;
      const wayIn =
        (at.finger === 1 ? weights.thumbOnBlack : weights.littleOnBlack) * wayLeft(at, before, earlier) * whole;
      const strain = before === null ? wayIn : wayIn * pace(now.onset.gap);
      tell(at.stroke, hand.behind[at.finger - 1] as number, strain, at, null);
    }
  },
  spared: ({ finger }) => `the ${fingerName(finger!.finger)} stays on white`,
  say: ({ finger }) => `${fingerOnKey(finger!)}: the hand goes in`,
};

/** Share of the way in that is left: most of it where the music begins, for the hand is set down there; little where the hand lies in for this very key, some where only black keys came before. */
function wayLeft(at: Press, before: Frame | null, earlier: Frame | null): number {
  if (before === null) return MOTION.inAtFirst;
  if (strikes(before, at)) return MOTION.liesIn;
  if (earlier === null) return 1;
  if (strikes(earlier, at)) return MOTION.liesIn;
  return isBlack(before) && isBlack(earlier) ? MOTION.liesInOnBlack : 1;
}

function isBlack({ struck }: Frame): boolean {
  return struck.length > 0 && struck.every(({ black }) => black);
}

/** Whether a frame strikes the same key with the same finger. */
function strikes({ struck }: Frame, at: Press): boolean {
  return struck.some((p) => p.finger === at.finger && p.key === at.key);
}
