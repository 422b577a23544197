import { seeded } from "../../tests/support/seeded";
import * as model from "./model";

/** Points of one rule over a right-hand fingering. */
function by(rule: (typeof model.RULES)[number], keys: number[], fingers: number[]): number {
  const notes = model.played(keys, fingers, "right");
  return notes.reduce(
    (sum, now, i) => sum + rule(now, notes[i - 1] ?? null, notes[i - 2] ?? null, notes[i + 1] ?? null),
    0,
  );
}

describe("the published rules, by hand", () => {
  it.each([
    // 2 and 3 open comfortably to 3 semitones; a fourth has 5: two too many.
    ["stretch", model.stretch, [60, 65], [2, 3], 4],
    // 1 and 3 relax from 3 semitones; a tone has 2.
    ["small span", model.smallSpan, [60, 62], [1, 3], 1],
    // 2 and 4 relax to 4; a fourth has 5, two points without the thumb.
    ["large span", model.largeSpan, [60, 65], [2, 4], 2],
    // C with 3, D with 1, E with 2: first and third cross by -4 where 2-3 may 1: beyond practical, over the thumb.
    ["position change, full", model.positionChangeCount, [60, 62, 64], [3, 1, 2], 2],
    ["position change, half", model.positionChangeCount, [60, 64, 69], [2, 3, 4], 1],
    // 2-3 must be 1 apart at least and are -4.
    ["position change, size", model.positionChangeSize, [60, 62, 64], [3, 1, 2], 5],
    ["weak finger", model.weakFinger, [60, 62, 64], [3, 4, 5], 2],
    ["three, four, five", model.threeFourFive, [60, 62, 64], [4, 5, 3], 1],
    ["three to four", model.threeToFour, [60, 62, 60], [3, 4, 3], 1],
    ["four on black", model.fourOnBlack, [64, 66], [3, 4], 1],
    // One for itself, two for the white key before and two for the one after.
    ["thumb on black", model.thumbOnBlack, [60, 61, 62], [2, 1, 2], 5],
    ["five on black", model.fiveOnBlack, [60, 61, 62], [4, 5, 4], 4],
    ["thumb passing, level", model.thumbPassing, [64, 65], [3, 1], 1],
    ["thumb passing, thumb on black", model.thumbPassing, [64, 66], [3, 1], 3],
  ])("%s", (_, rule, keys, fingers, points) => {
    expect(by(rule, keys, fingers)).toBe(points);
  });

  it("are twelve", () => expect(model.RULES).toHaveLength(12));
});

describe("the exact search", () => {
  it("finds the fewest points, as trying every possible fingering does, in either hand", () => {
    const random = seeded(12);
    for (let trial = 0; trial < 40; trial++) {
      const side = random.pick(["right", "left"] as const);
      let key = 60;
      const keys = Array.from({ length: 5 }, () => (key += random.pick([-5, -3, -2, -1, 1, 2, 4])));
      const found = model.points(model.played(keys, model.bestFingers(keys, side), side));
      let least = Infinity;
      for (let code = 0; code < 5 ** 5; code++) {
        const fingers = keys.map((_, i) => 1 + (Math.floor(code / 5 ** i) % 5));
        if (fingers.some((f, i) => i > 0 && f === fingers[i - 1])) continue;
        const notes = model.played(keys, fingers, side);
        if (isPractical(notes)) least = Math.min(least, model.points(notes));
      }
      expect(found).toBe(least);
    }
  });

  function isPractical(notes: readonly model.Played[]): boolean {
    return notes.every((now, i) => i === 0 || model.isPossible(notes[i - 1]!, now));
  }
});
