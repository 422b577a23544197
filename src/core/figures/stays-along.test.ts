import { studyOfKeys } from "../../../tests/support/studies";
import { WEIGHTS } from "../fingering/cost/weights";
import { notesAsked, type Study } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { STAY } from "../physics";
import { figuresOf } from "./find";
import { staysOf } from "./stays";
import { staysAlong } from "./stays-along";
import type { Tying } from "./tying";

/** What lies under one hand here and there: a figure on white keys, moved by steps of C major. */
const onSteps = (shape: readonly number[], steps: readonly number[] = [0, 1, 2, 3]): readonly number[] => {
  const scale = [0, 2, 4, 5, 7, 9, 11];
  return steps.flatMap((by) => shape.map((step) => 60 + 12 * Math.floor((step + by) / 7) + scale[(step + by) % 7]!));
};

/** The key five steps of C major lower. */
function keyBelow(key: number): number {
  const white = [0, 2, 4, 5, 7, 9, 11];
  const step = 7 * Math.floor(key / 12) + white.indexOf(key % 12) - 5;
  return 12 * Math.floor(step / 7) + white[step % 7]!;
}

function alongIn(study: Study, tying?: Tying) {
  const figures = figuresOf(study);
  return staysAlong(study, figures, staysOf(study, figures, tying), tying);
}

/** Where the notes of each are, in order. */
function found(study: Study): number[][] {
  const notes = notesAsked(study);
  return alongIn(study).map(({ keys }) =>
    keys.flatMap((of) => of.map((id) => notes.indexOf(id))).sort((a, b) => a - b),
  );
}

const SHAPE = [0, 2, 4, 3, 5, 3, 4, 2];

describe("stays along a figure that is moved", () => {
  it("are itself and all that it is moved to, each apart", () => {
    const each = [0, 1, 2, 3].map((i) => SHAPE.map((_, at) => i * SHAPE.length + at));
    expect(found(studyOfKeys(onSteps(SHAPE)))).toEqual(each);
  });

  it("are on each of several broken chords in one order, though no figure is", () => {
    const chords = [48, 55, 52, 55, 48, 57, 53, 57, 47, 55, 50, 55];
    expect(found(studyOfKeys(chords, "left"))).toEqual([
      [0, 1, 2, 3],
      [4, 5, 6, 7],
      [8, 9, 10, 11],
    ]);
  });

  it("do not lie across the times of a figure, as where a run goes back and on", () => {
    const run = [84, 83, 81, 79, 77, 76, 74, 72];
    const keys = [...run, ...run.map(keyBelow), 67, 65, 64, 62, 60];
    const study = studyOfKeys(keys);
    const times = figuresOf(study).flatMap(({ notes, returns }) => [notes, ...returns.map((given) => given.notes)]);
    expect(times.map(({ length }) => length)).toEqual([8, 8]);
    expect(found(study)).toEqual([]);
    const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
    const digits = notesAsked(study).map((id) => fingering[id]!);
    const overThumb = digits.filter((_, i) => keys[i]! < keys[i - 1]! && digits[i - 1] === 1);
    expect(overThumb).not.toContain(5);
  });

  it("are on each inversion of a chord that is broken note by note, whichever way it goes", () => {
    const inversions = [60, 64, 67, 72, 64, 67, 72, 76, 67, 72, 76, 79];
    for (const keys of [inversions, inversions.toReversed()]) expect(found(studyOfKeys(keys))).toHaveLength(3);
    for (const side of ["right", "left"] as const)
      for (const by of [0, 5, 7]) {
        const keys = inversions.map((key) => (side === "right" ? key + by : 124 - key - by));
        const study = studyOfKeys(keys, side);
        const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
        for (const { keys: of } of alongIn(study))
          expect(new Set(of.flat().map((id) => fingering[id])).size).toBe(inversions.length / 3);
      }
  });

  it("are not on octaves struck by turns with what is between them, unless they are a chord", () => {
    const octaves = [0, 2, 4].flatMap((by) => [[60 + by, 72 + by], 60 + by, 72 + by, [60 + by, 72 + by]]);
    expect(found(studyOfKeys(octaves))).toEqual([]);
  });

  it("go on where it comes back to the keys it came from", () => {
    expect(found(studyOfKeys(onSteps([0, 2, 4, 2], [0, 2, 4, 0])))).toHaveLength(4);
  });

  it.each([
    ["does not lie under one hand", onSteps([0, 4, 9, 4])],
    ["has two keys", onSteps([0, 1, 0, 1])],
    ["goes wide and strikes no key again", onSteps([0, 4, 6, 7])],
    ["returns on the same keys alone", onSteps(SHAPE, [0, 0])],
  ])("are none where it %s", (_, keys) => {
    expect(found(studyOfKeys(keys))).toEqual([]);
  });

  it("are none where the hand stays in any case", () => {
    const study = studyOfKeys(onSteps([0, 2, 4, 2, 0, 2, 4, 2, 0, 2, 4, 2, 0], [0, 1]));
    expect(staysOf(study, figuresOf(study))).toHaveLength(2);
    expect(alongIn(study)).toEqual([]);
  });

  it("are worth more than what memory is, more again where the player wants every figure kept, and are none where figures are free", () => {
    const study = studyOfKeys(onSteps(SHAPE));
    const { memory, memoryAsked } = WEIGHTS;
    expect(new Set(alongIn(study).map(({ worth }) => worth))).toEqual(new Set([memory * STAY.worthAlong]));
    expect(new Set(alongIn(study, "all").map(({ worth }) => worth))).toEqual(
      new Set([memory * memoryAsked * STAY.worthAlong]),
    );
    expect(alongIn(study, "none")).toEqual([]);
    const chords = studyOfKeys([48, 55, 52, 55, 48, 57, 53, 57, 47, 55, 50, 55], "left");
    expect(new Set(alongIn(chords).map(({ worth }) => worth))).toEqual(new Set([memory]));
  });

  it.each(["right", "left"] as const)("keep a finger for each key: %s hand", (side) => {
    for (const by of [0, -3, 2]) {
      const keys = onSteps(SHAPE).map((key) => key + by);
      const study = studyOfKeys(side === "right" ? keys : keys.map((key) => 124 - key), side);
      const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
      for (const { keys: of } of alongIn(study))
        for (const ids of of) expect(new Set(ids.map((id) => fingering[id])).size).toBe(1);
    }
  });
});
