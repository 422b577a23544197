import type { Cause } from "../cause";
import { eachJoinPair } from "../join";
import { openBeyond, openingStrain } from "../stretch";
import { fingers, mm } from "../words";

/** Fingers open beyond relaxed from one note to the next. */
export const opening: Cause = {
  id: "opening",
  label: "opening",
  unit: "mm",
  frames: 2,
  source:
    "Placement curve of hand/limits; its share between successive notes, and what a missing window to close adds, are a choice.",
  find(moment, tell) {
    eachJoinPair(moment, (from, to, share) => {
      const strain = openingStrain(moment, from, to);
      if (strain > 0) tell(to.stroke, openBeyond(moment, from, to), share * strain, to, from);
    });
  },
  spared: () => "the hand need not open",
  say: ({ amount, finger, other }) =>
    `${fingers(other, finger)} open ${amount < 1 ? "a little" : mm(amount)} more than at rest`,
};
