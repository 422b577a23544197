import { PLAN, WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.elbow;

/** mm that must lack before it is named: a hand at the middle of the body. */
const NAMED_FROM = PLAN.elbowRoom;

/** A hand that works in front of the body, where the elbow has no room. */
export const elbow = eachHand("elbow", "mm", ({ body: { narrowest, octavesToFree } }) => {
  if (!narrowest || narrowest.mm < NAMED_FROM) return [];
  const { note, mm, crosses } = narrowest;
  const octaves = octavesToFree === 1 ? "an octave" : `${octavesToFree} octaves`;
  return [
    {
      note,
      amount: mm,
      words: `${crosses ? "past the middle of the body" : "in front of the body"}: the elbow lacks ${whole(mm)} mm of room`,
      change: octavesToFree
        ? `sit a little to the other side; to feel it free, play it ${octaves} farther out first`
        : "sit a little to the other side",
      cost: Math.min(WEIGHT.most, mm * WEIGHT.each),
    },
  ];
});
