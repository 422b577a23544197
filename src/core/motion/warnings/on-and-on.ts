import { PLAN, WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.onAndOn;

/** Octaves and chords that follow one another without a rest for long. */
export const onAndOn = eachHand("on-and-on", "s", ({ efforts }) =>
  efforts.map(({ from, ms, strokes }) => {
    const [s, rate] = [ms / 1000, (1000 * strokes) / ms];
    return {
      note: from,
      amount: s,
      words: `${strokes} strokes of the whole hand in ${whole(s)} s, ${rate.toFixed(1)} a second, without a rest`,
      change: "let the arm give in a little on each group, and stop before it tires",
      cost: Math.min(WEIGHT.most, (s * rate * WEIGHT.each) / PLAN.onAndOnRate),
    };
  }),
);
