import { FIGURE } from "../../physics";
import { commonShift, type Relation } from "./relation";

/** Reflected in the other hand: the same fingers make the same movements. */
export const mirrored = {
  name: "mirrored",
  between: (figure, answer) => figure !== answer,
  // Both lists begin at the thumb, so that reflected keys stand at the same place.
  shift: (figure, answer) =>
    commonShift(
      figure.keys.map((key) => -key),
      answer.keys,
    ),
  worth: FIGURE.worth.mirrored,
  say: () => "mirrored in the other hand",
} as const satisfies Relation;
