import type { Cause } from "../cause";
import { eachJoinPair } from "../join";
import { closerBy, crowdingStrain } from "../stretch";
import { fingers, mm } from "../words";

/** Fingers closer together than relaxed, or crossed, from one note to the next. */
export const crowding: Cause = {
  id: "crowding",
  label: "crowding",
  unit: "mm",
  frames: 3,
  source:
    "Placement curve of hand/limits, mirrored; its share, and how it grows as fingers tangle at speed, are a choice. Fingers drawn together over one key cost at the next no more than carrying the hand.",
  find(moment, tell) {
    eachJoinPair(moment, (from, to, share) => {
      const strain = crowdingStrain(moment, from, to);
      if (strain > 0) tell(to.stroke, closerBy(moment, from, to), share * strain, to, from);
    });
  },
  spared: () => "no fingers are crowded",
  say: ({ amount, finger, other }) =>
    `${fingers(other, finger)} squeeze together${amount < 1 ? "" : `, ${mm(amount)} closer than at rest`}`,
};
