import { counted, type Idea } from "./idea";

/** In how many places the hand is set. */
export const positions: Idea = {
  id: "positions",
  amount: (reading) => reading.positions.length,
  least: 1,
  say: (count) => (count === 1 ? "stays in one position" : `${counted(count, "position")}`),
};
