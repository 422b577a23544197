import { eachBoundPair } from "../join";
import { apart } from "../pairs";
import { crossingStrain } from "../stretch";
import { fingers } from "../words";
import type { Cause } from "../cause";

/** Fingers crossing one another without the thumb. */
export const crossing: Cause = {
  id: "crossing",
  label: "crossing",
  unit: "mm",
  frames: 2,
  source: "A choice: long fingers cross only where nothing else serves.",
  find(moment, tell) {
    eachBoundPair(moment, (from, to, share) => {
      const crossed = -apart(from, to);
      if (from.finger === 1 || to.finger === 1 || crossed <= 0) return;
      tell(to.stroke, crossed, share * crossingStrain(moment, from, to), to, from);
    });
  },
  spared: () => "no fingers cross",
  say: ({ finger, other }) => `${fingers(other, finger)} cross`,
};
