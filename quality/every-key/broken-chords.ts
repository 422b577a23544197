import { home, liesUnderOneHand, SIDES, TONICS, type Family, type Made } from "./family";

const TRIADS = [
  [0, 4, 7],
  [0, 3, 8],
  [0, 5, 9],
  [0, 3, 7],
  [0, 4, 9],
  [0, 5, 8],
  [0, 3, 6],
];
/** Which of the three keys follows which, again and again. */
const ORDERS = [
  [0, 2, 1, 2],
  [0, 1, 2, 1],
  [2, 1, 0, 1],
  [0, 1, 2],
  [2, 1, 0],
  [2, 0, 1, 0],
];

/** Triads broken in one place: each key keeps its finger, and the fingers lie in their order. */
export const brokenChords: Family = {
  name: "triads broken in one place",
  passages: SIDES.flatMap((side) =>
    ORDERS.flatMap((order) =>
      TRIADS.flatMap((triad) =>
        TONICS.map((tonic): Made => ({
          side,
          keys: Array.from({ length: 12 }, (_, i) => home(side, tonic) + triad[order[i % order.length]!]!),
        })),
      ),
    ),
  ),
  isGood: ({ side, keys }, fingers) => liesUnderOneHand(side, keys, fingers),
};
