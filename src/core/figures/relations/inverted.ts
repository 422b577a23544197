import { commonShift, sameSide, type Relation } from "./relation";

/** Upside down in the same hand. */
export const inverted = {
  name: "inverted",
  between: sameSide,
  shift: (figure, answer) => commonShift(figure.keys.map((key) => -key).reverse(), answer.keys),
  worth: 0.5,
  say: () => "upside down",
} as const satisfies Relation;
