import { LEANING_TIMES } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const carried: Leaning = {
  id: "carried",
  label: "carried by the arm",
  what: "The arm carries the hand across wide figures, released, instead of passing the thumb.",
  weigh: (plain) => times(plain, LEANING_TIMES.carried),
  manner: { arpeggios: "carried" },
};
