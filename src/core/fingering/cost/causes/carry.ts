import { pace } from "../pace";
import { carriedTo } from "../travel";
import { keys } from "../words";
import type { Cause } from "../cause";

/** The hand carried sideways from one onset to the next, farther than its fingers reach in comfort. */
export const carry: Cause = {
  id: "carry",
  label: "hand carried",
  unit: "mm",
  frames: 2,
  source:
    "mm outside the comfortable range of the pair that asks for most; straight weight, more the faster: a choice.",
  find(moment, tell) {
    const { now, before, weights } = moment;
    const first = now.struck[0];
    if (before === null || first === undefined || before.struck.length === 0 || now.onset.swept) return;
    const distance = carriedTo(moment);
    if (distance < 1) return;
    tell(first.stroke, distance, distance * weights.carry * pace(now.onset.gap), first, before.struck[0] ?? null);
  },
  spared: () => "the hand need not be carried",
  say: ({ amount }) => `the arm carries the hand ${keys(amount)}`,
};
