import { PLAN, WARNING_WEIGHT } from "../../physics";
import { eachHand } from "./warning";

const WEIGHT = WARNING_WEIGHT.frozen;

/** A wrist that stays at one height for long. */
export const frozen = eachHand("frozen", "ms", ({ frozen: found, frames }) =>
  found === null || found.ms < PLAN.frozenMs || frames[found.from]!.notes.length === 0
    ? []
    : [
        {
          note: frames[found.from]!.notes[0]!,
          amount: found.ms,
          words: `the wrist stays within ${PLAN.frozenWithin} mm of one height for ${(found.ms / 1000).toFixed(1)} s`,
          change: "let it sink with the first note of each group and rise with the last",
          cost: Math.min(WEIGHT.most, WEIGHT.from + (found.ms / 1000) * WEIGHT.each),
        },
      ],
);
