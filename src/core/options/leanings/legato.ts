import { LEANING_TIMES } from "../../fingering/cost/weights";
import { times, type Leaning } from "./leaning";

export const legato: Leaning = {
  id: "legato",
  label: "by fingers, legato",
  what: "Legato by the fingers: the thumb passes, held notes are kept, no finger hops.",
  weigh: (plain) => times(plain, LEANING_TIMES.legato),
  manner: { arpeggios: "legato" },
};
