import { FIGURE } from "../../physics";
import { commonShift, sameSide, type Relation } from "./relation";

/** The same intervals from another key. */
export const chromatic = {
  name: "chromatic",
  between: sameSide,
  shift(figure, answer) {
    const by = commonShift(figure.keys, answer.keys);
    return by !== null && by % 12 !== 0 ? by : null;
  },
  worth: FIGURE.worth.chromatic,
  say: (by) =>
    `the same intervals, ${Math.abs(by)} ${Math.abs(by) === 1 ? "semitone" : "semitones"} ${by > 0 ? "up" : "down"}`,
} as const satisfies Relation;
