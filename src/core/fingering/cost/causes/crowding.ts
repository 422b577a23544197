import { strainOfClosing } from "../../../hand/limits";
import { limitsOf } from "../../../hand/hand";
import type { Cause, Moment, Tell } from "../cause";
import { eachJoinPair } from "../pairs";
import { fingers, mm } from "../words";
import type { Press } from "../../frame";

/** Fingers closer together than relaxed, or crossed, from one note to the next. */
export const crowding: Cause = {
  id: "crowding",
  label: "crowding",
  unit: "mm",
  frames: 2,
  source: "Placement curve of hand/limits, mirrored; its share is a choice.",
  find(moment, tell) {
    eachJoinPair(moment, (a, b, share) => measure(moment, a, b, share, tell));
  },
  say: ({ amount, finger, other }) => `${fingers(other, finger)} are ${mm(amount)} closer than relaxed`,
};

function measure(moment: Moment, from: Press, to: Press, share: number, tell: Tell): void {
  const limits = limitsOf(moment.hand, from.finger, to.finger);
  const distance = from.finger < to.finger ? to.x - from.x : from.x - to.x;
  if (distance >= limits.leastRelaxed) return;
  const strain = share * moment.weights.crowding * strainOfClosing(distance, limits);
  tell(to.stroke, limits.leastRelaxed - distance, strain, to, from);
}
