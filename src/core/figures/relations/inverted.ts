import { FIGURE } from "../../physics";
import { commonShift, sameSide, type Relation } from "./relation";

/** Upside down in the same hand. */
export const inverted = {
  name: "inverted",
  between: sameSide,
  shift: (figure, answer) => commonShift(figure.keys.map((key) => -key).reverse(), answer.keys),
  worth: FIGURE.worth.inverted,
  say: () => "upside down",
} as const satisfies Relation;
