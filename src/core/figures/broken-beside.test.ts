import { studyOfKeys } from "../../../tests/support/studies";
import { WEIGHTS } from "../fingering/cost/weights";
import { notesAsked } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { brokenBesideIn, brokenRemembered } from "./broken-beside";

const CHORD = [59, 62, 66];

/** Where the notes of each chord are, each with those that strike its key again. */
function found(keys: readonly (number | readonly number[])[]) {
  const study = studyOfKeys(keys);
  const notes = notesAsked(study);
  return brokenBesideIn(study).map((broken) =>
    [...broken].map(([own, again]) => [notes.indexOf(own), again.map((id) => notes.indexOf(id))]),
  );
}

describe("chords broken beside themselves", () => {
  it("are struck whole, and their keys one by one just after or before", () => {
    const each = [
      [0, [3]],
      [1, [4]],
      [2, [5]],
    ];
    expect(found([CHORD, ...CHORD])).toEqual([each]);
    expect(found([...CHORD, CHORD])).toEqual([
      [
        [5, [2]],
        [4, [1]],
        [3, [0]],
      ],
    ]);
    expect(found([CHORD, 59, 66, 62, 66])).toEqual([
      [
        [0, [3]],
        [2, [4, 6]],
        [1, [5]],
      ],
    ]);
  });

  it("end with the first other key", () => {
    expect(found([CHORD, 59, 62, 67, 66])).toEqual([
      [
        [0, [3]],
        [1, [4]],
      ],
    ]);
  });

  it.each([
    ["one key alone is struck again", [CHORD, 59, 59]],
    ["another key comes first", [CHORD, 71, ...CHORD]],
    ["two notes are no whole chord", [[59, 66], 59, 66]],
    ["two are struck at once", [CHORD, [59, 62], 66]],
    ["the line goes on beyond the chord", [CHORD, ...CHORD, 71, 74]],
    ["the line comes from beyond the chord", [50, 54, ...CHORD, CHORD]],
  ])("are none where %s", (_, keys) => expect(found(keys)).toEqual([]));

  it("are worth what memory is", () => {
    const study = studyOfKeys([CHORD, ...CHORD]);
    const worths = brokenRemembered(study, "alike").flatMap(({ returns }) => returns.map(({ worth }) => worth));
    expect(worths).toEqual(CHORD.map(() => WEIGHTS.memory));
    expect(brokenRemembered(study, "none")).toEqual([]);
  });

  it.each(["right", "left"] as const)("keep their fingers, in every key: %s hand", (side) => {
    for (let by = 0; by < 12; by++) {
      const keys = CHORD.map((key) => (side === "right" ? key + by : 120 - key - by)).sort((a, b) => a - b);
      const study = studyOfKeys([keys, ...keys], side);
      const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
      const digits = notesAsked(study).map((id) => fingering[id]);
      expect(digits.slice(3)).toEqual(digits.slice(0, 3));
    }
  });
});
