import { eachLiesUnderOneHand, home, keyAt, SIDES, TONICS, type Family, type Made } from "./family";

/** Major and minor, in semitones. */
const TRIADS = [
  [0, 4, 7],
  [0, 3, 7],
];
const TIMES = 4;

/** A triad broken in threes or fours, each time from its next key on, up and down: each time lies under one hand. */
export const inversions: Family = {
  name: "a triad broken from each of its keys",
  passages: [3, 4].flatMap((length) =>
    SIDES.flatMap((side) =>
      TRIADS.flatMap((triad) =>
        TONICS.flatMap((tonic) => {
          const keys = Array.from({ length: TIMES }, (_, i) =>
            Array.from({ length }, (_, place) => keyAt(home(side, tonic), triad, i + place)),
          ).flat();
          return [keys, keys.toReversed()].map((keys): Made => ({ side, keys }));
        }),
      ),
    ),
  ),
  isGood: (made, fingers) => eachLiesUnderOneHand(made, fingers, TIMES),
};
