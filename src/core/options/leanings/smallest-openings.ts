import { LEANING_TIMES } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const smallestOpenings: Leaning = {
  id: "smallest-openings",
  label: "smallest openings",
  what: "Keeps the hand small: openings between notes and inside chords weigh three times as much.",
  weigh: (plain) => times(plain, LEANING_TIMES.smallestOpenings),
};
