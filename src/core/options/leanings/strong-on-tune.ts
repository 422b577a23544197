import type { Weights } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const strongOnTune: Leaning = {
  id: "strong-on-tune",
  label: "strong on the tune",
  what: "Strong fingers where the tune, accents and loud notes lie, light ones where it is soft.",
  weigh: (plain) => ({
    ...times(plain, { weakInTune: 10, weakPerLoad: 5, heavyThumb: 3 }),
    weakFinger: bothWeak(plain.weakFinger).map((weight) => 4 * weight) as unknown as Weights["weakFinger"],
  }),
};

/** Where it matters who carries the tune, the little finger is no stronger than the fourth. */
function bothWeak(weak: Weights["weakFinger"]): readonly number[] {
  const most = Math.max(weak[3], weak[4]);
  return weak.map((weight, i) => (i < 3 ? weight : most));
}
