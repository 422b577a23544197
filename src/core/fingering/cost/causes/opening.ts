import { COMFORT, strainOfOpening } from "../../../hand/limits";
import { limitsOf } from "../../../hand/hand";
import type { Cause, Moment, Tell } from "../cause";
import { eachJoinPair } from "../pairs";
import { fingers, mm } from "../words";
import type { Press } from "../../frame";

/** Fingers open beyond relaxed from one note to the next. */
export const opening: Cause = {
  id: "opening",
  label: "opening",
  unit: "mm",
  frames: 2,
  source: "Placement curve of hand/limits; its share between successive notes is a choice.",
  find(moment, tell) {
    const { opening: join, openingBeyond } = moment.weights;
    eachJoinPair(moment, (a, b, share) => measure(moment, a, b, share * join, share * openingBeyond, tell));
  },
  say: ({ amount, finger, other }) => `${fingers(other, finger)} open ${mm(amount)} beyond relaxed`,
};

function measure(moment: Moment, from: Press, to: Press, upTo: number, beyond: number, tell: Tell): void {
  const limits = limitsOf(moment.hand, from.finger, to.finger);
  const distance = from.finger < to.finger ? to.x - from.x : from.x - to.x;
  if (distance <= limits.widestRelaxed) return;
  const strain = strainOfOpening(distance, limits);
  const weighed = upTo * Math.min(strain, COMFORT) + beyond * Math.max(0, strain - COMFORT);
  tell(to.stroke, distance - limits.widestRelaxed, weighed, to, from);
}
