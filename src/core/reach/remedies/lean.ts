import { REMEDY_LOSS } from "../../physics";
import type { Remedy } from "../remedy";
import { placed } from "./placing";

/** The hand leaning to one side, on the sides of the fingers. Loses evenness of weight. */
export const lean: Remedy = {
  kind: "lean",
  label: "leaning",
  propose: (predicament) =>
    placed(
      predicament,
      "lean",
      { tilts: ["upright"] },
      { tilts: ["leaning"] },
      REMEDY_LOSS.lean,
      "Lean the hand towards the little finger and play on the sides of the fingers.",
    ),
};
