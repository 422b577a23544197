import { breakPrice, legatoShare } from "../join";
import { mmBetween } from "../pairs";
import { keys } from "../words";
import type { Cause } from "../cause";

/** The hand lets go and the arm sets it down anew: the line is broken, for fingers cannot join the notes or not so well. */
export const lineBroken: Cause = {
  id: "line-broken",
  label: "line broken",
  unit: "mm",
  frames: 2,
  source:
    "A choice: one price for every break, above every way to join notes that lie in reach; less by the school and the pedal. See cost/join.",
  find(moment, tell) {
    const { now, before, letGo } = moment;
    const at = now.struck[0];
    if (!letGo || at === undefined) return;
    const from = before!.struck[0]!;
    const strain = breakPrice(moment) * legatoShare(from, moment);
    if (strain > 0) tell(at.stroke, Math.abs(mmBetween(from, at)), strain, at, from);
  },
  spared: () => "the line stays whole",
  say: ({ amount, finger, other }) =>
    finger?.finger === other?.finger
      ? `${finger!.finger} jumps ${keys(amount)}: the line breaks`
      : `the hand lets go: a leap of ${keys(amount)}`,
};
