import { FULL_SIZE, instrument } from "./instrument";
import { leastOpening } from "../placement/between";
import { goOneWayBySteps, intervalHeld, isSecond, openingOfInterval, WHITE_INTERVALS } from "./interval";
import { pitch } from "./pitch";

describe("intervals of white keys in mm", () => {
  it("are what the placement of two fingers at the facing edges needs", () => {
    expect(openingOfInterval(7, FULL_SIZE)).toBeCloseTo(leastOpening(pitch(60), pitch(72), FULL_SIZE), 6);
    expect(openingOfInterval(2, FULL_SIZE)).toBeCloseTo(leastOpening(pitch(60), pitch(64), FULL_SIZE), 6);
  });

  it("come back from the mm they need, and not from a hair less", () => {
    for (const on of [FULL_SIZE, instrument(140)]) {
      WHITE_INTERVALS.forEach((name, i) => {
        const mm = openingOfInterval(i + 1, on);
        expect(intervalHeld(mm, on)).toBe(name);
        expect(intervalHeld(mm - 0.5, on)).toBe(WHITE_INTERVALS[i - 1] ?? null);
      });
    }
  });
});

describe("moves from key to key in semitones", () => {
  it("are seconds up or down, of one or two", () => {
    expect([-3, -2, -1, 0, 1, 2, 3].filter(isSecond)).toEqual([-2, -1, 1, 2]);
  });

  it("go one way by steps of a scale, a harmonic minor one among them, and not where they turn, stay or leap", () => {
    for (const moves of [[2, 2, 1], [1, 3, 1], [], [3]]) {
      expect(goOneWayBySteps(moves)).toBe(true);
      expect(goOneWayBySteps(moves.map((move) => -move))).toBe(true);
    }
    for (const moves of [
      [2, -1],
      [2, 0],
      [0, 2],
      [2, 4],
      [NaN, 1],
    ])
      expect(goOneWayBySteps(moves)).toBe(false);
  });
});
