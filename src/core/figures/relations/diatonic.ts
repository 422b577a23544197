import { FIGURE } from "../../physics";
import { commonShift, sameSide, type Relation } from "./relation";

/** The same steps of the scale from another of its notes. */
export const diatonic = {
  name: "diatonic",
  between: sameSide,
  shift(figure, answer) {
    const by = commonShift(figure.steps, answer.steps);
    return by !== null && by !== 0 ? by : null;
  },
  worth: FIGURE.worth.diatonic,
  say: (by) => `${Math.abs(by)} ${Math.abs(by) === 1 ? "step" : "steps"} of the scale ${by > 0 ? "up" : "down"}`,
} as const satisfies Relation;
