import { LEANING_TIMES, type Weights } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const strongOnTune: Leaning = {
  id: "strong-on-tune",
  label: "strong on the tune",
  what: "Strong fingers where the tune, accents and loud notes lie, light ones where it is soft.",
  weigh: (plain) => times({ ...plain, weakFinger: bothWeak(plain.weakFinger) }, LEANING_TIMES.strongOnTune),
};

/** Where it matters who carries the tune, the little finger is no stronger than the fourth. */
function bothWeak(weak: Weights["weakFinger"]): Weights["weakFinger"] {
  const most = Math.max(weak[3], weak[4]);
  return [weak[0], weak[1], weak[2], most, most];
}
