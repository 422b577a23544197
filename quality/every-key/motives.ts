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

/** The same, which end on the key that they begin with: two times lie under one hand at once. */
const SHAPES_THAT_COME_BACK = [
  [0, 1, 0],
  [0, 1, 2, 0],
  [0, 2, 1, 0],
  [2, 1, 0, 2],
  [2, 0, 1, 2],
  [0, 4, 2, 0],
  [0, 1, 2, 1, 0],
  [0, 2, 4, 2, 0],
  [0, 1, 0, -1, 0],
];

/** A figure on every step of a major scale, up and down. */
function onEveryStep(name: string, shapes: readonly (readonly number[])[]): Family {
  return {
    name,
    passages: shapes.flatMap((shape) =>
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
}

export const motives = onEveryStep("a figure on every step", SHAPES);
export const motivesThatComeBack = onEveryStep("the same, back to its first key", SHAPES_THAT_COME_BACK);
