import { LEANING_TIMES } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const fewestMoves: Leaning = {
  id: "fewest-moves",
  label: "fewest moves",
  what: "Stays in place: changes of position, thumb passes and carrying weigh twice as much.",
  weigh: (plain) => times(plain, LEANING_TIMES.fewestMoves),
};
