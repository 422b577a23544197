import { WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.sideways;

/** Fingers that reach sideways although the wrist had time to carry them. */
export const sideways = eachHand("sideways", "mm", ({ sideways: found }) =>
  found.map(({ note, mm, window }) => ({
    note,
    amount: mm,
    words: `the fingers reach ${whole(mm)} mm sideways, though there are ${whole(window)} ms for the wrist to carry them`,
    change: "let the wrist bring the hand over its notes",
    cost: Math.min(WEIGHT.most, mm * WEIGHT.each),
  })),
);
