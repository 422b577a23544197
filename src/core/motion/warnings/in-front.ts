import { PLAN, WARNING_WEIGHT } from "../../physics";
import { whole, type WarningRule } from "./warning";

const WEIGHT = WARNING_WEIGHT.inFront;

/** Both hands in front of the body, so that neither elbow has its room. */
export const inFront: WarningRule = {
  id: "in-front",
  unit: "mm",
  find: ({ inFront: found }) =>
    found === null || found.mm < PLAN.elbowRoom
      ? []
      : [
          {
            side: "both",
            note: found.note,
            amount: found.mm,
            words: `both hands in front of the body: the elbows lack ${whole(found.mm)} mm of room together`,
            change: "sit a little farther from the keys, and let one elbow lead outwards",
            cost: Math.min(WEIGHT.most, found.mm * WEIGHT.each),
          },
        ],
};
