import { studyOfKeys } from "../../../tests/support/studies";
import { notesAsked } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { figuresOf } from "./find";
import { memoriesOf } from "./ties";
import { turnsOf, waysBackOf, waysBackRemembered } from "./ways-back";

const UP = [48, 51, 55, 58, 60, 63, 67, 70];
const THERE_AND_BACK = [...UP, 72, ...[...UP].reverse()];

/** Places of the notes there and back, from the turn outwards. */
function found(keys: readonly (number | readonly number[])[]): number[][][] {
  const study = studyOfKeys(keys);
  const notes = notesAsked(study);
  return waysBackOf(study).map(({ pairs }) =>
    pairs.map(({ there, back }) => [notes.indexOf(there), notes.indexOf(back)]),
  );
}

describe("there and back", () => {
  it("is where a run turns and goes back over the same keys, as far as it does", () => {
    expect(found(THERE_AND_BACK)).toEqual([UP.map((_, i) => [7 - i, 9 + i])]);
    const [inside] = found([72, 64, ...THERE_AND_BACK, 53, 41]);
    expect(inside).toEqual(UP.map((_, i) => [9 - i, 11 + i]));
  });

  it("is so for what is struck together as well", () => {
    const thirds = [60, 62, 64, 65, 67].map((low) => [low, low + 4]);
    expect(found([...thirds, [69, 73], ...[...thirds].reverse()])).toHaveLength(1);
  });

  it.each([
    ["that is short", [60, 62, 64, 65, 67, 65, 64, 62, 60]],
    ["that winds", [60, 64, 62, 65, 64, 67, 64, 65, 62, 64, 60]],
    ["that comes back over other keys", [60, 62, 64, 65, 67, 69, 68, 66, 64, 62, 60]],
    ["that stands on one key", Array<number>(13).fill(60)],
  ])("is no way %s", (_, keys) => expect(found(keys)).toEqual([]));

  it("is worth something but at its ends, more where the player asks, and nothing where nothing is to be tied", () => {
    const study = studyOfKeys(THERE_AND_BACK);
    const worth = (tying: "all" | "alike" | "none"): readonly number[] =>
      waysBackRemembered(study, tying).flatMap(({ returns }) => returns.map((r) => r.worth));
    expect(worth("alike")).toHaveLength(UP.length - 1);
    expect(worth("all")[0]).toBeGreaterThan(worth("alike")[0]!);
    expect(worth("none")).toEqual([]);
  });

  it("is a turn where it is short and lies under one hand", () => {
    const turns = (keys: readonly number[]): number[] => turnsOf(studyOfKeys(keys)).map(({ pairs }) => pairs.length);
    expect(turns([60, 64, 67, 72, 67, 64, 60])).toEqual([3]);
    expect(turns([60, 64, 67, 72, 67, 64, 62, 65, 69, 65, 62])).toEqual([2, 2]);
    expect(turns([48, 60, 72, 84, 72, 60, 48])).toEqual([]);
    expect(turns([60, 64, 60])).toEqual([]);
    expect(turns(THERE_AND_BACK)).toEqual([]);
  });

  it("keeps the fingers of a chord that is broken up and down, whatever follows", () => {
    const keys = [48, 52, 55, 60, 55, 52, 47, 50, 55, 59, 55, 50, 45, 48, 52, 57, 52, 48];
    const study = studyOfKeys(keys, "left", { tempo: 90 });
    const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
    for (const { pairs } of turnsOf(study))
      for (const { there, back } of pairs) expect(fingering[back]).toBe(fingering[there]);
  });

  it("takes the fingers of the way there, where the octaves alone would have it take others", () => {
    const study = studyOfKeys(THERE_AND_BACK, "left");
    const notes = notesAsked(study);
    const kept = (conditions: object): number => {
      const { fingering } = bestLeaning(study, balanced, conditions, 1)[0]!;
      return waysBackOf(study)[0]!.pairs.filter(({ there, back }) => fingering[there] === fingering[back]).length;
    };
    expect(notes).toHaveLength(THERE_AND_BACK.length);
    expect(kept({})).toBeGreaterThanOrEqual(UP.length - 1);
    expect(kept({ memories: memoriesOf(study, figuresOf(study), "alike") })).toBeLessThan(kept({}));
  });
});
