import { studyOfKeys } from "../../../tests/support/studies";
import { FIGURE } from "../physics";
import { WEIGHTS } from "../fingering/cost/weights";
import { notesAsked, type Study } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { struckAgainIn, struckAgainRemembered } from "./struck-again";

const times = (keys: readonly number[], often: number): number[] =>
  keys.flatMap((key) => Array<number>(often).fill(key));

/** How long the groups are, stretch by stretch. */
const lengths = (study: Study): number[][] => struckAgainIn(study).map((groups) => groups.map(({ length }) => length));

const QUICK = { tempo: 120 };
const quick = (keys: readonly number[]): Study => studyOfKeys(keys, "right", QUICK);

describe("keys struck again and again", () => {
  it("are groups of as many strokes, key after key", () => {
    expect(lengths(quick(times([60, 64, 62], 3)))).toEqual([[3, 3, 3]]);
    expect(lengths(quick([72, ...times([60, 62], 2), 65, 67]))).toEqual([[2, 2]]);
    expect(lengths(quick([...times([60, 62], 2), ...times([64, 65], 3)]))).toEqual([
      [2, 2],
      [3, 3],
    ]);
  });

  it("go by beats where one is struck for longer than that", () => {
    expect(lengths(quick(times([60], 12)))).toEqual([[4, 4, 4]]);
    expect(lengths(quick(times([60, 62], 8)))).toEqual([[4, 4, 4, 4]]);
    expect(lengths(quick([...times([60, 62, 64], 4), 64, 65, 67]))).toEqual([[4, 4, 4]]);
  });

  it("are none where one finger strikes again with ease", () => {
    expect(struckAgainIn(studyOfKeys(times([60, 64], 3), "right", { tempo: 60 }))).toEqual([]);
  });

  it.each([
    ["struck once each", [60, 62, 64, 65]],
    ["of which one alone is struck again", [60, 60, 60, 62, 64, 65]],
    ["struck differently often", [60, 60, 60, 62, 62, 64, 65, 67]],
  ])("are none %s", (_, keys) => {
    expect(struckAgainIn(quick(keys))).toEqual([]);
  });

  it("are worth what memory is, less where two keys are struck twice and no more, more where every figure is to be kept, nothing where none is", () => {
    const worths = (often: number, tying: "alike" | "all" | "none", keys = [60, 62]): number[] => {
      const study = quick(times(keys, often));
      return struckAgainRemembered(study, tying).flatMap(({ returns }) => returns.map((r) => r.worth));
    };
    const { memory, memoryAsked } = WEIGHTS;
    expect(worths(3, "alike")).toEqual([memory, memory, memory]);
    expect(worths(2, "alike")).toEqual([1, 1].map(() => memory * FIGURE.worthOfTwoTwice));
    expect(worths(2, "alike", [60, 62, 64])).toEqual([1, 1, 1, 1].map(() => memory));
    expect(worths(3, "all")).toEqual([1, 1, 1].map(() => memory * memoryAsked));
    expect(worths(3, "none")).toEqual([]);
  });

  it("keep the same two fingers on each key of a scale that strikes each twice", () => {
    const study = quick(times([62, 64, 66, 67, 69, 71, 73, 74], 2));
    const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
    const digits = notesAsked(study).map((id) => fingering[id]);
    for (const [i, digit] of digits.slice(2, -2).entries()) expect(digit).toBe(digits[2 + (i % 2)]);
  });

  it("are struck by one finger each, twice at a speed at which more strokes want fingers in turn", () => {
    const tempo = 100;
    for (const side of ["right", "left"] as const) {
      const digits = (often: number) => {
        const study = studyOfKeys(times([60, 62, 64, 65, 67, 69, 71, 72], often), side, { tempo });
        const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
        return notesAsked(study).map((id) => fingering[id]);
      };
      for (const [i, digit] of digits(2).entries()) expect(digit).toBe(digits(2)[i - (i % 2)]);
      for (const [i, digit] of digits(3).entries()) if (i % 3 > 0) expect(digit).not.toBe(digits(3)[i - 1]);
    }
  });

  it("are struck by one finger where there is time", () => {
    for (const keys of [
      [60, 62],
      [65, 67, 65],
      [67, 65, 64],
    ]) {
      const study = studyOfKeys(times(keys, 5), "right", { tempo: 40 });
      const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
      const digits = notesAsked(study).map((id) => fingering[id]);
      for (const [i, digit] of digits.entries()) expect(digit).toBe(digits[i - (i % 5)]);
    }
  });

  it.each(["right", "left"] as const)(
    "are played by fingers in turn towards the thumb, alike on each: %s hand",
    (side) => {
      for (const [keys, often, turn] of [
        [[62, 60, 59], 4, "4321"],
        [[60, 62, 64], 4, "4321"],
        [[60, 62, 64, 65], 3, "321"],
        [[65, 64, 62, 60], 3, "321"],
        [[67], 16, "4321"],
      ] as const) {
        const study = studyOfKeys(times(keys, often), side, { tempo: 112 });
        const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
        expect(
          notesAsked(study)
            .map((id) => fingering[id])
            .join(""),
        ).toBe(turn.repeat((keys.length * often) / turn.length));
      }
    },
  );
});
