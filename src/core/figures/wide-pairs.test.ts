import { studyOfKeys } from "../../../tests/support/studies";
import { WEIGHTS } from "../fingering/cost/weights";
import { notesAsked } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { widePairsIn, widePairsRemembered } from "./wide-pairs";

/** White keys from middle C on, and a wide interval broken on each. */
const LOWS = [60, 62, 64, 65, 67, 69];
const SIXTHS = LOWS.flatMap((low, i) => [low, [69, 71, 72, 74, 76, 77][i]!]);

const pairs = (keys: readonly (number | readonly number[])[]): number[] =>
  widePairsIn(studyOfKeys(keys)).map(({ length }) => length);

describe("wide pairs", () => {
  it("are wide intervals broken one after another, up and down, from either end", () => {
    expect(pairs(SIXTHS)).toEqual([6]);
    expect(pairs([...SIXTHS].reverse())).toEqual([6]);
    expect(pairs(LOWS.flatMap((low) => [low + 12, low]))).toEqual([6]);
  });

  it.each([
    ["two of them", SIXTHS.slice(0, 4)],
    ["thirds", LOWS.flatMap((low) => [low, low + 4])],
    ["one end stays", LOWS.flatMap((low) => [low, 76])],
    ["they turn", [60, 69, 62, 71, 60, 69, 62, 71]],
    ["they are struck together", LOWS.map((low) => [low, low + 9])],
  ])("are none where %s", (_, keys) => expect(pairs(keys)).toEqual([]));

  it("are worth as much as memory to the last before them on keys of the same colours", () => {
    const study = studyOfKeys([60, 69, 61, 70, 62, 71]);
    const notes = notesAsked(study);
    const found = widePairsRemembered(study, "alike").map(({ note, returns }) => [
      notes.indexOf(note),
      notes.indexOf(returns[0]!.note),
      returns[0]!.worth,
    ]);
    expect(found).toEqual([
      [0, 4, WEIGHTS.memory],
      [1, 5, WEIGHTS.memory],
    ]);
    expect(widePairsRemembered(study, "none")).toEqual([]);
  });

  it.each(["right", "left"] as const)("keep their fingers along white keys: %s hand", (side) => {
    const study = studyOfKeys(SIXTHS, side);
    const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
    const digits = notesAsked(study).map((id) => fingering[id]);
    for (const [i, digit] of digits.entries()) expect(digit).toBe(digits[i % 2]);
  });
});
