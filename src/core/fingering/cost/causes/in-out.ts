import { MOTION } from "../../../physics";
import type { Cause } from "../cause";
import { mm } from "../words";

/** The hand travelling towards the fallboard or back. */
export const inOut: Cause = {
  id: "in-out",
  label: "in and out",
  unit: "mm",
  frames: 2,
  source: "Depth of the fingertips' contact less what curling takes up; straight weight, a choice.",
  find({ now, before, weights }, tell) {
    const first = now.struck[0];
    if (before === null || first === undefined || before.struck.length === 0) return;
    const travel = Math.abs(now.depth - before.depth) - MOTION.freeDepth;
    if (travel > 0) tell(first.stroke, travel, travel * weights.inOut, first, before.struck[0] ?? null);
  },
  spared: () => "the hand need not travel in or out",
  say: ({ amount }) => `the hand travels ${mm(amount)} in or out`,
};
