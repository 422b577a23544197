import { besideRest } from "../at-rest";
import type { Cause } from "../cause";
import { fingers, mm } from "../words";

/** A chord whose outer fingers lie farther apart, or closer, than in the hand at rest. */
export const spread: Cause = {
  id: "spread",
  label: "spread unlike the hand at rest",
  unit: "mm",
  frames: 1,
  source:
    "Natural logarithm of how many times as far apart as at rest the outer fingers of a chord lie, wider and closer alike, as long as they are relaxed; its weight is a choice: of fingers that are all at ease a player takes those that fall on the keys.",
  find({ now, hand, weights }, tell) {
    const rest = besideRest(hand, now);
    if (rest === null) return;
    const strain = weights.spread * rest.relaxed * Math.abs(Math.log(rest.apart / rest.restApart));
    if (strain > 0) tell(rest.low.stroke, rest.apart - rest.restApart, strain, rest.high, rest.low);
  },
  spared: () => "the chord lies under the hand as it rests",
  say: ({ amount, finger, other }) =>
    `${fingers(other, finger)} lie ${mm(Math.abs(amount))} ${amount > 0 ? "farther apart" : "closer together"} than at rest`,
};
