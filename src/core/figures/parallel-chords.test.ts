import { studyOfKeys } from "../../../tests/support/studies";
import { WEIGHTS } from "../fingering/cost/weights";
import { notesAsked } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { FIGURE } from "../physics";
import { parallelChordsIn, parallelChordsRemembered } from "./parallel-chords";

/** Triads on the first five steps of F minor. */
const TRIADS = [
  [65, 68, 72],
  [67, 70, 73],
  [68, 72, 75],
  [70, 73, 77],
  [72, 75, 79],
];

const runs = (keys: readonly (number | readonly number[])[]): number[] =>
  parallelChordsIn(studyOfKeys(keys)).map(({ length }) => length);

describe("parallel chords", () => {
  it("are whole chords that go on by steps, up or down, and back", () => {
    expect(runs(TRIADS)).toEqual([5]);
    expect(runs([...TRIADS].reverse())).toEqual([5]);
    expect(runs([...TRIADS, ...TRIADS.slice(0, 4).reverse()])).toEqual([9]);
  });

  it("end where one chord does not go on so", () => {
    expect(runs([...TRIADS.slice(0, 3), 72, ...TRIADS.slice(3)])).toEqual([3, 2]);
    expect(runs([...TRIADS.slice(0, 2), [65, 72, 77], ...TRIADS.slice(2)])).toEqual([2, 3]);
  });

  it.each([
    ["a note stays", [TRIADS[0]!, [65, 70, 73]]],
    ["notes go two ways", [TRIADS[0]!, [67, 67, 73]]],
    ["they leap", [TRIADS[0]!, TRIADS[2]!, TRIADS[4]!]],
    ["there are two notes", TRIADS.map((keys) => keys.slice(0, 2))],
    ["a note comes in", [TRIADS[0]!, [67, 70, 73, 79]]],
  ])("are none where %s", (_, keys) => expect(runs(keys)).toEqual([]));

  it("are worth their share of what memory is, note by note, each to the chord before", () => {
    const study = studyOfKeys(TRIADS.slice(0, 3));
    const notes = notesAsked(study);
    const found = parallelChordsRemembered(study, "alike");
    expect(found.map(({ note, returns }) => [notes.indexOf(note), notes.indexOf(returns[0]!.note)])).toEqual(
      [0, 1, 2, 3, 4, 5].map((i) => [i, i + 3]),
    );
    expect(found[0]!.returns[0]!.worth).toBeCloseTo(FIGURE.worthOfParallel * WEIGHTS.memory, 9);
    expect(parallelChordsRemembered(study, "none")).toEqual([]);
  });

  it.each(["right", "left"] as const)("keep one shape of the hand: %s hand", (side) => {
    const keys = side === "right" ? TRIADS : TRIADS.map((chord) => chord.map((key) => 124 - key).reverse());
    const study = studyOfKeys(keys, side);
    const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
    const digits = notesAsked(study).map((id) => fingering[id]);
    expect(digits).toEqual(digits.map((_, i) => digits[i % 3]));
  });
});
