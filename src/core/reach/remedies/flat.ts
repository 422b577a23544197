import { REMEDY_LOSS } from "../../physics";
import type { Remedy } from "../remedy";
import { placed, USUAL } from "./placing";

/** Flat fingers. Loses the firm tip. */
export const flat: Remedy = {
  kind: "flat",
  label: "flat fingers",
  propose: (predicament) =>
    placed(
      predicament,
      "flat",
      { ...USUAL, aim: "anywhere" },
      { shapes: ["flat"], tilts: ["upright"] },
      REMEDY_LOSS.flat,
      "Flatten the fingers, and meet the outer keys at their facing edges.",
    ),
};
