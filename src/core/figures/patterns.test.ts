import { studyOfKeys } from "../../../tests/support/studies";
import { tasksOf } from "../fingering/study/study";
import { patternsOf } from "./patterns";

const found = (keys: readonly (number | readonly number[])[]) => patternsOf(tasksOf(studyOfKeys(keys))[0]!.line);

describe("a pattern", () => {
  it("is what is struck on the same keys in the same order again at once, in whole turns", () => {
    const turn = [60, 67, 64, 67];
    expect(found([...turn, ...turn])).toEqual([{ first: 0, last: 7, turn: 4, keys: [60, 64, 67] }]);
    expect(found([72, ...turn, ...turn, ...turn, 60, 67, 65])).toEqual([
      { first: 1, last: 12, turn: 4, keys: [60, 64, 67] },
    ]);
  });

  it("ends where another begins, though they share a key", () => {
    const [one, other] = [
      [60, 67, 64, 67],
      [60, 69, 65, 69],
    ];
    expect(found([...one, ...one, ...other, ...other]).map(({ first, last }) => [first, last])).toEqual([
      [0, 7],
      [8, 15],
    ]);
  });

  it("may have chords in it", () => {
    const bar = [48, [55, 60], [55, 60]];
    expect(found([...bar, ...bar])).toEqual([{ first: 0, last: 5, turn: 3, keys: [48, 55, 60] }]);
  });

  it.each([
    ["struck once", [60, 67, 64, 67]],
    ["of two keys, which rock", [60, 64, 60, 64, 60, 64, 60, 64]],
    ["that never goes back to a key, as a broken chord", [60, 64, 67, 60, 64, 67]],
    ["that comes again only later", [60, 67, 64, 67, 62, 60, 67, 64, 67]],
  ])("is not one %s", (_, keys) => {
    expect(found(keys)).toEqual([]);
  });
});
