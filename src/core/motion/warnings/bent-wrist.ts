import { PLACEMENT, PLAN, WARNING_WEIGHT } from "../../physics";
import type { PlanFrame } from "../path/path";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.bent;

/** A wrist that is bent sideways beyond ease for a while. */
export const bentWrist = eachHand("bent-wrist", "degrees", ({ frames }) =>
  frames.flatMap((frame, i) => {
    const beyond = beyondEase(frame);
    const ms = (frames[i + 1]?.ms ?? frame.ms + PLAN.bentMs) - frame.ms;
    if (frame.notes.length === 0 || beyond <= 0 || ms < PLAN.bentMs) return [];
    const towards = frame.ulnarDeviation > 0 ? "little finger" : "thumb";
    return [
      {
        note: frame.notes[0]!,
        amount: Math.abs(frame.ulnarDeviation),
        words: `the wrist is bent ${whole(Math.abs(frame.ulnarDeviation))} degrees towards the ${towards}`,
        change: "let the elbow come along, so that forearm and hand lie in one line",
        cost: Math.min(WEIGHT.most, beyond * WEIGHT.each),
      },
    ];
  }),
);

/** Degrees beyond ease, less what is not worth naming. */
function beyondEase({ ulnarDeviation }: PlanFrame): number {
  const side = ulnarDeviation >= 0 ? 0 : 1;
  const [ease, most] = [PLACEMENT.deviationEase[side], PLACEMENT.deviationMost[side]];
  return Math.abs(ulnarDeviation) - ease - PLAN.bentFrom * (most - ease);
}
