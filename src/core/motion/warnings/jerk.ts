import { WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.jerk;

/** A way in or out that begins too late to be smooth. */
export const jerk = eachHand("jerk", "mm", ({ inOuts }) =>
  inOuts
    .filter((each) => each.isJerk)
    .map(({ note, mm, begins, needed }) => ({
      note,
      amount: Math.abs(mm),
      words: `the hand goes ${mm > 0 ? "in" : "out"} ${whole(Math.abs(mm))} mm in ${whole(begins)} ms; ${whole(needed)} would be smooth`,
      change:
        mm > 0 ? "be in already on the note before" : "stay in among the black keys, or come out on the note before",
      cost: Math.min(WEIGHT.most, Math.abs(mm) * WEIGHT.each),
    })),
);
