import { studyOfKeys } from "../../../tests/support/studies";
import { notesAsked } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { figuresOf } from "./find";
import { memoriesOf } from "./ties";
import { waysBackOf, waysBackRemembered } from "./ways-back";

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
    const ways = waysBackOf(study);
    const worth = (tying: "all" | "alike" | "none"): readonly number[] =>
      waysBackRemembered(study, ways, tying).flatMap(({ returns }) => returns.map((r) => r.worth));
    expect(worth("alike")).toHaveLength(UP.length - 1);
    expect(worth("all")[0]).toBeGreaterThan(worth("alike")[0]!);
    expect(worth("none")).toEqual([]);
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
