import { FIGURE } from "../../physics";
import { commonShift, sameSide, type Relation } from "./relation";

export const octave = {
  name: "octave",
  between: sameSide,
  shift(figure, answer) {
    const by = commonShift(figure.keys, answer.keys);
    return by !== null && by !== 0 && by % 12 === 0 ? by : null;
  },
  worth: FIGURE.worth.octave,
  say: (by) => `${octaves(Math.abs(by) / 12)} ${by > 0 ? "up" : "down"}`,
} as const satisfies Relation;

function octaves(count: number): string {
  return count === 1 ? "an octave" : `${count} octaves`;
}
