import { WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.thumbReaching;

/** A thumb that must reach out of the hand for its key, in or out. */
export const thumbReaching = eachHand("thumb-reaching", "mm", ({ frames }) =>
  frames.flatMap(({ thumbReach, notes }) =>
    thumbReach === 0 || notes.length === 0
      ? []
      : [
          {
            note: notes[0]!,
            amount: Math.abs(thumbReach),
            words: `the thumb reaches ${whole(Math.abs(thumbReach))} mm ${thumbReach > 0 ? "in" : "out"} for its key`,
            change: "bring the whole hand, and let the thumb hang from it",
            cost: Math.min(WEIGHT.most, Math.abs(thumbReach) * WEIGHT.each),
          },
        ],
  ),
);
