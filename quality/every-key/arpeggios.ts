import { asUpwards, home, keepsThumbOnWhite, keyAt, SIDES, TONICS, type Family, type Made } from "./family";

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
