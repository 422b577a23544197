import { LEANING_TIMES } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const clearestAtSpeed: Leaning = {
  id: "clearest-at-speed",
  label: "for fast playing",
  what: "Keeps fingers from tangling: crowding, rocking, one finger again and want of time weigh more, openings half.",
  weigh: (plain) => times(plain, LEANING_TIMES.clearestAtSpeed),
};
