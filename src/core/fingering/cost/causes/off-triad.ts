import { MOTION } from "../../../physics";
import type { Press } from "../../frames/frame";
import type { Cause } from "../cause";

/** A triad in thirds that is not fingered as five fingers lie over its keys and those between. */
export const offTriad: Cause = {
  id: "off-triad",
  label: "triad off its fingers",
  unit: "notes",
  frames: 1,
  source:
    "Fingers by which three keys, each a third from the next, lie farther off than the nearest, where five fingers share the half steps between them evenly; straight weight, a choice, after teaching practice: a triad in root position is 1 3 5, wherever its keys are black.",
  find({ now: { struck }, weights }, tell) {
    if (struck.length !== MOTION.wholeFrom || !isInThirds(struck)) return;
    const [low, high] = [struck[0]!, struck.at(-1)!];
    const off = struck.reduce((sum, { key, finger }) => {
      const share = (4 * (key - low.key)) / (high.key - low.key);
      return sum + Math.abs(share - (finger - 1)) - Math.abs(share - Math.round(share));
    }, 0);
    if (off > 0) tell(low.stroke, off, off * weights.offTriad, high, low);
  },
  spared: () => "the triad lies under five fingers",
  say: () => "other fingers than 1, 3 and 5 on a triad",
};

function isInThirds(struck: readonly Press[]): boolean {
  return struck.slice(1).every(({ key }, i) => MOTION.thirds.includes(Math.abs(key - struck[i]!.key)));
}
