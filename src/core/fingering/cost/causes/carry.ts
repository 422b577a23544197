import type { Cause } from "../cause";
import { mm } from "../words";

/** The hand's middle carried sideways from one onset to the next. */
export const carry: Cause = {
  id: "carry",
  label: "hand carried",
  unit: "mm",
  frames: 2,
  source: "Distance between the resting middles of the hand; straight weight, a choice.",
  find({ now, before, weights }, tell) {
    const first = now.struck[0];
    if (before === null || first === undefined || before.struck.length === 0) return;
    const distance = Math.abs(now.centre - before.centre);
    if (distance < 1) return;
    tell(first.stroke, distance, distance * weights.carry, first, before.struck[0] ?? null);
  },
  spared: () => "the hand need not be carried",
  say: ({ amount }) => `the hand is carried ${mm(amount)}`,
};
