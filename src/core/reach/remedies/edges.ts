import { REMEDY_LOSS } from "../../physics";
import type { Remedy } from "../remedy";
import { placed, USUAL } from "./placing";

/** Contact at the facing edges. Loses next to nothing: the aim must be finer. */
export const edges: Remedy = {
  kind: "edges",
  label: "at the edges",
  propose: (predicament) =>
    placed(
      predicament,
      "edges",
      USUAL,
      { ...USUAL, aim: "anywhere" },
      REMEDY_LOSS.edges,
      "Meet the outer keys at the edges that face each other.",
    ),
};
