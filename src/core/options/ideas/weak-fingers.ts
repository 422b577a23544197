import { OFFER } from "../../physics";
import type { Idea } from "./idea";

/** Share of the notes that the fourth and fifth finger play, in tenths. */
export const weakFingers: Idea = {
  id: "weak-fingers",
  amount({ judged }) {
    const fingers = Object.values(judged.fingering);
    return Math.round((10 * fingers.filter((f) => f === 4 || f === 5).length) / Math.max(1, fingers.length));
  },
  least: OFFER.ideaLeast.weakFingers,
  say: (tenths) => (tenths < 1 ? "hardly any 4 and 5" : `4 and 5 on ${tenths * 10} of 100 notes`),
};
