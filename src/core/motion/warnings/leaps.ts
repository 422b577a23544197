import { WARNING_WEIGHT } from "../../physics";
import type { WarningRule } from "./warning";
import { whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.leaps;

/** Leaps of both hands that land together. */
export const leaps: WarningRule = {
  id: "leaps",
  unit: "mm",
  find: ({ together }) =>
    together.map(({ note, right, left, opposite, look, unseen }) => ({
      side: "both",
      note,
      amount: Math.max(Math.abs(right), Math.abs(left)),
      words: `both hands leap${opposite ? ", opposite ways" : ""}: right ${whole(Math.abs(right))} mm, left ${whole(Math.abs(left))} mm`,
      change: `look at the ${look} hand; ${unseen ? "the other finds its place unseen" : "learn the other's place by feel first"}`,
      cost: (opposite ? WEIGHT.opposite : WEIGHT.same) + Math.max(Math.abs(right), Math.abs(left)) * WEIGHT.each,
    })),
};
