import {
  asUpwards,
  HARMONIC_MINOR,
  home,
  keepsThumbOnWhite,
  keyAt,
  MAJOR,
  SIDES,
  TONICS,
  type Family,
  type Made,
} from "./family";

const SCALES = [MAJOR, HARMONIC_MINOR, [0, 2, 3, 5, 7, 9, 11], [0, 2, 3, 5, 7, 8, 10]];
/** Semitones of the one step of a scale that a finger may be left out on. */
const WIDE_STEP = 3;

/** An octave of every scale from each of its notes, up and down. */
export const scalesFromEachNote: Family = {
  name: "scales of an octave, from each note",
  passages: SIDES.flatMap((side) =>
    SCALES.flatMap((scale) =>
      TONICS.flatMap((tonic) =>
        scale.flatMap((_, from): Made[] => {
          const keys = Array.from({ length: 8 }, (_step, i) => keyAt(home(side, tonic), scale, from + i));
          return [
            { side, keys },
            { side, keys: keys.toReversed() },
          ];
        }),
      ),
    ),
  ),
  // Neighbouring fingers on neighbouring notes, or the thumb and 2, 3 or 4 past one another.
  isGood(made, fingers) {
    const up = asUpwards(made, fingers);
    const keys = (made.keys as readonly number[]).toSorted((a, b) => (made.side === "right" ? a - b : b - a));
    const stepsWell = up.slice(1).every((finger, i) => {
      const left = finger - up[i]! - 1;
      const mayLeaveOut = Math.abs(keys[i + 1]! - keys[i]!) === WIDE_STEP ? 1 : 0;
      return (left >= 0 && left <= mayLeaveOut) || (finger === 1 && up[i]! > 1 && up[i]! < 5);
    });
    return stepsWell && keepsThumbOnWhite(made, fingers);
  },
};

const THREE_OCTAVES = [MAJOR, HARMONIC_MINOR, [0, 4, 7], [0, 3, 7], [0, 4, 7, 10], [0, 3, 6, 9]];

/** Three octaves of scales and arpeggios there and back: octaves alike but for the ends, and the way back as the way there. */
export const thereAndBack: Family = {
  name: "three octaves there and back",
  passages: SIDES.flatMap((side) =>
    THREE_OCTAVES.flatMap((scale) =>
      TONICS.map((tonic): Made => {
        const up = Array.from({ length: 3 * scale.length + 1 }, (_, i) => keyAt(home(side, tonic) - 7, scale, i));
        return { side, keys: [...up, ...up.toReversed().slice(1)] };
      }),
    ),
  ),
  isGood(made, fingers) {
    const digits = fingers.map(([finger]) => finger!);
    const [turn, notes] = [(digits.length - 1) / 2, (digits.length - 1) / 6];
    const there = digits.slice(0, turn + 1);
    const back = digits.slice(turn).toReversed();
    const inner = there.slice(1, -1);
    return (
      inner.every((finger, i) => i + notes >= inner.length || inner[i + notes] === finger) &&
      inner.every((finger, i) => back[i + 1] === finger) &&
      keepsThumbOnWhite(made, fingers)
    );
  },
};

/** Thirteen keys up or down from every key: the thumb on white, no finger twice running. */
export const chromatic: Family = {
  name: "chromatic scales, from each key",
  passages: SIDES.flatMap((side) =>
    TONICS.flatMap((tonic): Made[] => {
      const keys = Array.from({ length: 13 }, (_, i) => home(side, tonic) + i);
      return [
        { side, keys },
        { side, keys: keys.toReversed() },
      ];
    }),
  ),
  isGood: (made, fingers) =>
    keepsThumbOnWhite(made, fingers) && fingers.slice(1).every(([finger], i) => finger !== fingers[i]![0]),
};
