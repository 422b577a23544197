import { PLAN, WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.keptOpen;

/** A hand that is kept open beyond comfort and finds no time to close. */
export const keptOpen = eachHand("kept-open", "ms", ({ closing: { kept } }) =>
  kept
    .filter(({ weighed }) => weighed >= PLAN.keptOpenFrom)
    .map(({ from, ms, mm, weighed }) => ({
      note: from,
      amount: ms,
      words: `the hand stays open for ${(ms / 1000).toFixed(1)} s, ${whole(mm)} mm wider than is comfortable, and cannot close`,
      change: "let one of the two keys go sooner, or close the hand on a rest",
      cost: Math.min(WEIGHT.most, weighed * WEIGHT.each),
    })),
);
