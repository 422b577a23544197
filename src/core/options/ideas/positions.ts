import { OFFER } from "../../physics";
import { counted, type Idea } from "./idea";

/** In how many places the hand is set. */
export const positions: Idea = {
  id: "positions",
  amount: (reading) => reading.positions.length,
  least: OFFER.ideaLeast.positions,
  say: (count) => (count === 1 ? "stays in one position" : `${counted(count, "position")}`),
};
