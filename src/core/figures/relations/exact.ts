import { FIGURE } from "../../physics";
import { commonShift, sameSide, type Relation } from "./relation";

export const exact = {
  name: "exact",
  between: sameSide,
  shift: (figure, answer) => (commonShift(figure.keys, answer.keys) === 0 ? 0 : null),
  worth: FIGURE.worth.exact,
  say: () => "the same keys",
} as const satisfies Relation;
