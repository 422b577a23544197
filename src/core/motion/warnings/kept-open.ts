import { PLAN, WARNING_WEIGHT } from "../../physics";
import { eachHand } from "./warning";

const WEIGHT = WARNING_WEIGHT.keptOpen;

/** The longest stretch in which the hand nowhere finds time to close. */
export const keptOpen = eachHand("kept-open", "ms", ({ closing: { longestWithout, openShare } }) =>
  longestWithout === null || longestWithout.ms < PLAN.keptOpenFrom || openShare === 0
    ? []
    : [
        {
          note: longestWithout.from,
          amount: longestWithout.ms,
          words: `no time to close for ${(longestWithout.ms / 1000).toFixed(1)} s; ${Math.round(100 * openShare)} % of the time is open beyond comfort`,
          change: "let a held note go sooner, or close the hand on a rest or a repeated note",
          cost: Math.min(WEIGHT.most, longestWithout.ms * WEIGHT.each),
        },
      ],
);
