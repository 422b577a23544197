import { PLAN, WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.elbow;

/** A hand whose middle has passed the middle of the body, so that the elbow is in the way. */
export const elbow = eachHand("elbow", "mm", ({ body: { narrowest, octavesToFree } }) => {
  if (!narrowest || narrowest.past < PLAN.elbowPast) return [];
  const { note, mm, past } = narrowest;
  const octaves = octavesToFree === 1 ? "an octave" : `${octavesToFree} octaves`;
  return [
    {
      note,
      amount: mm,
      words: `the hand is ${whole(past)} mm past the middle of the body: the elbow lacks ${whole(mm)} mm of room`,
      change: octavesToFree
        ? `sit a little to the other side; to feel it free, play it ${octaves} farther out first`
        : "sit a little to the other side",
      cost: Math.min(WEIGHT.most, mm * WEIGHT.each),
    },
  ];
});
