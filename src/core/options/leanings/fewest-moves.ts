import { times, type Leaning } from "./leaning";

export const fewestMoves: Leaning = {
  id: "fewest-moves",
  label: "fewest moves",
  what: "Stays in place: changes of position, thumb passes and carrying weigh twice as much.",
  weigh: (plain) =>
    times(plain, {
      position: 2,
      thumbPass: 2,
      carry: 2,
      carriedAcross: 2,
      carriedByPedal: 2,
      crossing: 2,
    }),
};
