import { HARMONIC_MINOR, home, keyAt, liesUnderOneHand, MAJOR, SIDES, TONICS, type Family, type Made } from "./family";

/** Which of the three keys follows which, twice a bar. */
const ORDERS = [
  [0, 2, 1, 2],
  [2, 0, 1, 0],
  [0, 1, 2, 1],
  [2, 1, 0, 1],
];

/** A triad in root position as an accompaniment: thumb and little finger at its ends, wherever its keys are black. */
export const rockingTriads: Family = {
  name: "triads rocking on their root",
  passages: SIDES.flatMap((side) =>
    [MAJOR, HARMONIC_MINOR].flatMap((scale) =>
      TONICS.flatMap((tonic) =>
        ORDERS.map((order): Made => ({
          side,
          tempo: 120,
          keys: Array.from({ length: 16 }, (_, i) => keyAt(home(side, tonic) + 5, scale, 2 * order[i % 4]!)),
        })),
      ),
    ),
  ),
  isGood: ({ side, keys }, fingers) =>
    liesUnderOneHand(side, keys, fingers) && [1, 5].every((end) => fingers.some(([finger]) => finger === end)),
};
