import { OFFER } from "../../physics";
import { inWords, type Idea } from "./idea";

/** In how many places the hand is set. */
export const positions: Idea = {
  id: "positions",
  amount: (reading) => reading.positions.length,
  least: OFFER.ideaLeast.positions,
  say: (count) => (count === 1 ? "stays in one position" : `${inWords(count, "position")}`),
};
