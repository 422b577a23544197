import type { Cause } from "../cause";
import { fingerName } from "../../../hand/finger";

/** Fourth and fifth finger at work, and 3, 4, 5 in a row. */
export const weakFinger: Cause = {
  id: "weak-finger",
  label: "weak finger",
  unit: "notes",
  frames: 3,
  source: "The weak-finger rules of the ergonomic model cited in hand/proportions; weights are a choice.",
  find({ now, before, earlier, weights }, tell) {
    const single = before?.struck.length === 1 && now.struck.length === 1;
    for (const at of now.struck) {
      const base = weights.weakFinger[at.finger - 1] as number;
      if (base > 0) tell(at.stroke, 1, base, at, null);
    }
    if (!single) return;
    const [from, to] = [before.struck[0]!, now.struck[0]!];
    if (from.finger + to.finger === 7 && Math.abs(from.finger - to.finger) === 1) {
      const inside = from.finger === 4 ? from.black && !to.black : to.black && !from.black;
      tell(to.stroke, 2, weights.weakPair + (inside ? weights.fourthInside : 0), to, from);
    }
    const first = earlier?.struck.length === 1 ? earlier.struck[0]! : null;
    if (first && first.finger >= 3 && from.finger >= 3 && to.finger >= 3 && new Set([first.finger, from.finger, to.finger]).size === 3) {
      tell(to.stroke, 3, weights.weakRow, to, first);
    }
  },
  say: ({ amount, finger, other }) =>
    amount === 3 ? "3, 4 and 5 in a row" : other ? "3 and 4 one after the other" : `the ${fingerName(finger!.finger)} has to work`,
};
