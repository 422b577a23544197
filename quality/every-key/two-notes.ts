import { HARMONIC_MINOR, home, isBlackKey, keyAt, MAJOR, SIDES, TONICS, type Family, type Made } from "./family";

/** Octaves broken up and down a major scale, from either end: 1 and 5, on black keys 1 and 4 too. */
export const brokenOctaves: Family = {
  name: "octaves broken along a scale",
  passages: SIDES.flatMap((side) =>
    TONICS.flatMap((tonic) =>
      [1, -1].flatMap((way) =>
        [false, true].map((fromAbove): Made => {
          const lows = Array.from({ length: 6 }, (_, i) =>
            keyAt(home(side, tonic) + (way < 0 ? 12 : 0), MAJOR, way * i),
          );
          return { side, keys: lows.flatMap((low) => (fromAbove ? [low + 12, low] : [low, low + 12])) };
        }),
      ),
    ),
  ),
  isGood({ side, keys }, fingers) {
    const upperFirst = (keys[0] as number) > (keys[1] as number);
    return keys.every((key, i) => {
      const isUpper = (i % 2 === 0) === upperFirst;
      const finger = fingers[i]![0]!;
      if (isUpper !== (side === "right")) return finger === 1;
      return finger === 5 || (finger === 4 && isBlackKey(key as number));
    });
  },
};

function alongScales(steps: number, tempo: number): readonly Made[] {
  return SIDES.flatMap((side) =>
    [MAJOR, HARMONIC_MINOR].flatMap((scale) =>
      TONICS.flatMap((tonic): Made[] => {
        const keys = Array.from({ length: 8 }, (_, i) =>
          [i, i + steps].map((step) => keyAt(home(side, tonic) + 5, scale, step)),
        );
        return [
          { side, keys, tempo },
          { side, keys: keys.toReversed(), tempo },
        ];
      }),
    ),
  );
}

function neverTwiceRunning(fingers: readonly (readonly number[])[]): boolean {
  return fingers.slice(1).every((pair, i) => pair.join() !== fingers[i]!.join());
}

/** Thirds along a scale: pairs with one finger between them, none twice running. */
export const thirds: Family = {
  name: "scales in thirds",
  passages: alongScales(2, 84),
  isGood: (_, fingers) => neverTwiceRunning(fingers) && fingers.every(([low, high]) => Math.abs(low! - high!) === 2),
};

/** Sixths along a scale: with the outer fingers, no pair twice running. */
export const sixths: Family = {
  name: "scales in sixths",
  passages: alongScales(5, 72),
  isGood: (_, fingers) => neverTwiceRunning(fingers) && fingers.every(([low, high]) => Math.abs(low! - high!) >= 3),
};
