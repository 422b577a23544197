import { asUpwards, home, isBlackKey, keepsThumbOnWhite, keyAt, SIDES, TONICS, type Family, type Made } from "./family";

const TRIADS = [
  [0, 4, 7],
  [0, 3, 7],
  [0, 3, 6],
  [0, 4, 8],
];
const SEVENTHS = [
  [0, 4, 7, 11],
  [0, 4, 7, 10],
  [0, 3, 7, 10],
  [0, 3, 6, 10],
  [0, 3, 6, 9],
];

function family(name: string, chords: readonly (readonly number[])[]): Family {
  const notes = chords[0]!.length;
  const passages = SIDES.flatMap((side) =>
    chords.flatMap((chord) =>
      TONICS.flatMap((tonic) =>
        chord.flatMap((_, from): Made[] => {
          const keys = Array.from({ length: 2 * notes + 1 }, (_step, i) => keyAt(home(side, tonic), chord, from + i));
          return [
            { side, keys },
            { side, keys: keys.toReversed() },
          ];
        }),
      ),
    ),
  );
  return {
    name,
    passages,
    // The thumb comes once an octave; between its strokes fingers follow in order; both octaves are alike but at the ends.
    isGood(made, fingers) {
      const up = asUpwards(made, fingers);
      const thumbs = up.flatMap((finger, i) => (finger === 1 ? [i] : []));
      const spaced = thumbs.length >= 2 && thumbs.slice(1).every((at, i) => at - thumbs[i]! === notes);
      const inOrder = up.slice(1).every((finger, i) => finger > up[i]! || finger === 1);
      const alike = up
        .slice(1, -1)
        .every((finger, i) => i + 1 + notes >= up.length - 1 || up[i + 1 + notes] === finger);
      return spaced && inOrder && alike && keepsThumbOnWhite(made, fingers);
    },
  };
}

export const arpeggiosOfTriads = family("arpeggios of triads, from each note", TRIADS);
export const arpeggiosOfSevenths = family("arpeggios of sevenths, from each note", SEVENTHS);

/** Notes of arpeggios that end on another note of the chord than they began on, or farther on than two octaves. */
const LENGTHS = [5, 6, 8, 9];

/** Triads from each of their white keys outwards over other lengths than octaves, and there and back. */
export const arpeggiosOfOtherLengths: Family = {
  name: "arpeggios of other lengths, from white",
  passages: SIDES.flatMap((side) =>
    TRIADS.slice(0, 2).flatMap((chord) =>
      TONICS.flatMap((tonic) =>
        chord.flatMap((_, from) =>
          LENGTHS.flatMap((length): Made[] => {
            const outwards = side === "right" ? 1 : -1;
            const start = home(side, tonic) + (side === "right" ? 0 : 36);
            const there = Array.from({ length }, (_step, i) => keyAt(start, chord, outwards * (from + i)));
            if (isBlackKey(there[0]!)) return [];
            return [
              { side, keys: there },
              { side, keys: [...there, ...there.toReversed().slice(1)] },
            ];
          }),
        ),
      ),
    ),
  ),
  // The thumb begins and ends them; between its strokes fingers follow in order.
  isGood(made, fingers) {
    const digits = fingers.map(([finger]) => finger!);
    const isBack = made.keys.at(-1) === made.keys[0];
    const turn = isBack ? (digits.length - 1) / 2 : digits.length - 1;
    const ways = [digits.slice(0, turn + 1), isBack ? digits.slice(turn).toReversed() : [1, 2]];
    const rises = ways.every((way) => way.slice(1).every((finger, i) => finger > way[i]! || finger === 1));
    return ways.every(([first]) => first === 1) && rises && keepsThumbOnWhite(made, fingers);
  },
};
