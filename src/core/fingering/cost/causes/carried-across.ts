import type { Cause } from "../cause";
import { breakPrice } from "../join";
import { mm } from "../words";

/** The hand released and carried to the next note by the arm, instead of a stretch or a thumb pass. */
export const carriedAcross: Cause = {
  id: "carried-across",
  label: "bound broken",
  unit: "mm",
  frames: 2,
  source: "A choice, by the player's school for wide arpeggios and by the pedal; see cost/join.",
  find(moment, tell) {
    const { now, before, carried } = moment;
    const at = now.struck[0];
    if (!carried || at === undefined) return;
    tell(at.stroke, Math.abs(now.centre - before!.centre), breakPrice(moment), at, before!.struck[0]!);
  },
  spared: () => "the line stays bound",
  say: ({ amount }) => `the hand lets go and is carried ${mm(amount)} across`,
};
