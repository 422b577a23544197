import { HARMONIC_MINOR, home, keyAt, MAJOR, SIDES, TONICS, type Family, type Made } from "./family";

/** Triads on each step of a scale, whole, up and down: thumb, middle and little finger. */
export const triadsAlong: Family = {
  name: "triads along a scale",
  passages: SIDES.flatMap((side) =>
    [MAJOR, HARMONIC_MINOR].flatMap((scale) =>
      TONICS.flatMap((tonic) => {
        const keys = Array.from({ length: 8 }, (_, i) =>
          [i, i + 2, i + 4].map((step) => keyAt(home(side, tonic), scale, step)),
        );
        return [keys, keys.toReversed()].map((keys): Made => ({ side, keys, tempo: 40 }));
      }),
    ),
  ),
  isGood: ({ side }, fingers) =>
    fingers.every((digits) => digits.join() === (side === "right" ? [1, 3, 5] : [5, 3, 1]).join()),
};
