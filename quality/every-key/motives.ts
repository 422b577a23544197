import { eachLiesUnderOneHand, home, keyAt, MAJOR, SIDES, TONICS, type Family, type Made } from "./family";

/** Steps of the scale, from the first: each lies under one hand. */
const SHAPES = [
  [0, 2, 3, 4, 5, 4, 3, 2],
  [0, 2, 4, 3, 5, 3, 4, 2],
  [0, 1, 2, 3, 4, 3, 2, 1],
  [0, 1, 2, 0, 1, 2, 3, 1],
  [0, 2, 4, 7, 4, 2],
  [0, 2, 4, 2],
  [0, 4, 2, 4],
  [4, 2, 0, 2],
  [0, 3, 5, 3],
  [0, 1, 2, 1],
  [1, 2, 1, 0],
  [0, 1, 0, -1],
  [0, 1, 2, 3],
  [3, 2, 1, 0],
];
const TIMES = 5;

/** A figure on every step of a major scale, up and down. */
export const motives: Family = {
  name: "a figure on every step",
  passages: SHAPES.flatMap((shape) =>
    SIDES.flatMap((side) =>
      TONICS.flatMap((tonic) =>
        [1, -1].map((way): Made => {
          const from = home(side, tonic) + (way < 0 ? 5 : 0);
          const steps = Array.from({ length: TIMES }, (_, i) =>
            shape.map((step) => step + (way > 0 ? i : TIMES - 1 - i)),
          );
          return { side, keys: steps.flat().map((step) => keyAt(from, MAJOR, step)) };
        }),
      ),
    ),
  ),
  isGood: (made, fingers) => eachLiesUnderOneHand(made, fingers, TIMES),
};
