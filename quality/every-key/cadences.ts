import { HARMONIC_MINOR, home, keyAt, MAJOR, SIDES, TONICS, type Family, type Made } from "./family";

/** Chords of a cadence as steps of the scale: the tonic, and on the same bass or a step below what it goes to. */
const TONIC = [0, 2, 4];
const SIX_FOUR = [0, 3, 5];
const SIX_FIVE = [-1, 3, 4];
const SIX = [-1, 1, 4];
const SIX_FIVE_WHOLE = [-1, 1, 3, 4];

const CADENCES = [
  [TONIC, SIX_FOUR, TONIC, SIX_FIVE, TONIC],
  [TONIC, SIX_FOUR, TONIC, SIX, TONIC],
  [TONIC, SIX, TONIC, SIX, TONIC],
  [TONIC, SIX_FOUR, TONIC, SIX_FOUR, TONIC],
  [TONIC, SIX_FIVE_WHOLE, TONIC],
  [TONIC, TONIC, SIX_FIVE, SIX_FIVE, TONIC, TONIC],
];

/** Semitones from which on a chord has the little finger outside. */
const ASKS_LITTLE = 8;

/** Chords of a cadence, whole: thumb and little finger outside, or 4 within a fifth; a chord that returns has its fingers again. */
export const cadences: Family = {
  name: "chords of a cadence",
  passages: SIDES.flatMap((side) =>
    [MAJOR, HARMONIC_MINOR].flatMap((scale) =>
      TONICS.flatMap((tonic) =>
        CADENCES.flatMap((chords) =>
          [60, 100].map((tempo) => ({
            side,
            tempo,
            keys: chords.map((chord) => chord.map((step) => keyAt(home(side, tonic), scale, step))),
          })),
        ),
      ),
    ),
  ),
  isGood(made, fingers) {
    const known = new Map<string, string>();
    return made.keys.every((keys, i) => {
      const [chord, digits] = [keys as readonly number[], fingers[i]!];
      const before = known.get(chord.join()) ?? digits.join();
      known.set(chord.join(), before);
      return before === digits.join() && hasEndsInPlace(made, chord, digits);
    });
  },
};

function hasEndsInPlace({ side }: Made, chord: readonly number[], digits: readonly number[]): boolean {
  const [thumb, outer] = side === "right" ? [digits[0], digits.at(-1)!] : [digits.at(-1), digits[0]!];
  return thumb === 1 && outer >= (chord.at(-1)! - chord[0]! >= ASKS_LITTLE ? 5 : 4);
}
