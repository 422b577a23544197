import { WARNING_WEIGHT } from "../../physics";
import type { PlanFrame } from "../path/path";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.beyondReach;

/** Keys that no placement of the hand holds together, or that are left without a finger. */
export const beyondReach = eachHand("beyond-reach", "mm", ({ frames }) =>
  frames.flatMap((frame) => {
    const note = frame.notes[0] ?? frame.frame.leftOut[0]?.notes[0];
    const found = foundAt(frame);
    if (found === null || note === undefined) return [];
    return [{ note, change: "roll it, share it with the other hand, or leave a doubled note out", ...found }];
  }),
);

function foundAt({ short, frame: { leftOut } }: PlanFrame): { amount: number; words: string; cost: number } | null {
  if (short !== null)
    return {
      amount: short,
      words: `the keys cannot be held together: ${whole(short)} mm short`,
      cost: WEIGHT.from + short * WEIGHT.each,
    };
  if (leftOut.length === 0) return null;
  const many = leftOut.length === 1 ? "1 key is" : `${leftOut.length} keys are`;
  return { amount: 0, words: `${many} left without a finger: the hand does not reach all`, cost: WEIGHT.from };
}
