import { times, type Leaning } from "./leaning";

export const carried: Leaning = {
  id: "carried",
  label: "carried by the arm",
  what: "The arm carries the hand across wide figures, released, instead of passing the thumb.",
  weigh: (plain) => times(plain, { carriedAcross: 0.5, carriedByPedal: 0.5, carry: 0.5 }),
  manner: { arpeggios: "carried" },
};
