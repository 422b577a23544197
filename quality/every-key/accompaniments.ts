import { HARMONIC_MINOR, home, keyAt, liesUnderOneHand, MAJOR, SIDES, TONICS, type Family } from "./family";

/** Chords one after another in close position, as steps of a scale from its first. */
const CHORDS = [
  [
    [0, 2, 4],
    [-1, 3, 4],
    [0, 2, 4],
    [0, 3, 5],
    [0, 2, 4],
  ],
  [
    [0, 2, 4],
    [-2, 0, 2],
    [-4, -2, 0],
    [-3, -1, 1],
    [0, 2, 4],
  ],
  [
    [0, 2, 4, 6],
    [-1, 1, 3, 6],
    [0, 2, 4, 6],
    [-1, 1, 3, 4],
  ],
];

/** The order in which the keys of a chord are struck: of three and of four keys. */
const ORDERS = [
  { of3: [0, 2, 1, 2], of4: [0, 3, 1, 3] },
  { of3: [0, 1, 2, 1, 2, 1], of4: [0, 1, 3, 1, 3, 1] },
  { of3: [0, 1, 2, 1], of4: [0, 1, 2, 3, 2, 1] },
  { of3: [0, 2, 1, 2, 0, 2, 1, 2], of4: [0, 3, 1, 3, 0, 3, 1, 3] },
];

function orderOf(chord: readonly number[], { of3, of4 }: (typeof ORDERS)[number]): readonly number[] {
  return chord.length === 3 ? of3 : of4;
}

/** Accompaniments from chord to chord: on each the hand lies as on a chord, a finger a key. */
export const accompaniments: Family = {
  name: "accompaniments from chord to chord",
  passages: SIDES.flatMap((side) =>
    [MAJOR, HARMONIC_MINOR].flatMap((scale) =>
      TONICS.flatMap((tonic) =>
        CHORDS.flatMap((chords) =>
          ORDERS.map((order) => ({
            side,
            tempo: 80,
            keys: chords.flatMap((chord) =>
              orderOf(chord, order).map((at) => keyAt(home(side, tonic) + 8, scale, chord[at]!)),
            ),
            groups: chords.map((chord) => orderOf(chord, order).length),
          })),
        ),
      ),
    ),
  ),
  isGood({ side, keys, groups = [] }, fingers) {
    let from = 0;
    return groups.every((length) => {
      const group = [keys.slice(from, from + length), fingers.slice(from, from + length)] as const;
      from += length;
      return liesUnderOneHand(side, ...group);
    });
  },
};
