import { FIGURE as PHYSICS } from "../physics";
import { note, passage } from "../../../tests/support/passages";
import { studyOfKeys, studyOn } from "../../../tests/support/studies";
import { notesAsked, type Study } from "../fingering/study/study";
import { figuresOf } from "./find";
import { WEIGHTS } from "../fingering/cost/weights";
import { memoriesOf } from "./ties";

const FIGURE = [60, 64, 62, 67, 65];

function found(study: Study) {
  return figuresOf(study).map(({ notes, returns }) => ({
    length: notes.length,
    returns: returns.map(({ relation, by, alike, changed }) => ({ relation, by, alike, changed })),
  }));
}

describe("figures that return", () => {
  it.each([
    ["on the same keys", FIGURE, { relation: "exact", by: 0, alike: 1, changed: [] }],
    ["by octaves", FIGURE.map((k) => k - 24), { relation: "octave", by: -24, alike: 1, changed: [] }],
    ["in semitones", FIGURE.map((k) => k + 1), { relation: "chromatic", by: 1, alike: 0.2, changed: [] }],
    ["along the scale", [62, 65, 64, 69, 67], { relation: "diatonic", by: 1, alike: 1, changed: [] }],
    ["upside down", FIGURE.map((k) => 136 - k), { relation: "inverted", by: 136, alike: 1, changed: [] }],
  ])("are found %s", (_, answer, expected) => {
    expect(found(studyOfKeys([...FIGURE, 71, 72, ...answer]))).toEqual([{ length: 5, returns: [expected] }]);
  });

  it("are found with a small change, which is named", () => {
    const twice = [60, 64, 62, 67, 65, 69, 64, 60];
    const changed = twice.map((key, i) => (i === 3 ? key + 12 : key + 12) + (i === 4 ? 1 : 0));
    expect(found(studyOfKeys([...twice, 59, ...changed]))[0]!.returns).toEqual([
      { relation: "octave", by: 12, alike: 7 / 8, changed: [4] },
    ]);
  });

  it("are three notes that come at once and once more, by octaves and not by what lies farther", () => {
    const arpeggio = [31, 34, 38, 43, 46, 50, 55, 58, 62, 67];
    const [figure] = found(studyOfKeys([...arpeggio, ...arpeggio.toReversed().slice(1)], "left"));
    expect(figure!.length).toBe(3);
    expect(figure!.returns.map(({ by }) => by)).toEqual([12, 24]);
  });

  it("of three notes are not told of where they come along the scale or in the other hand", () => {
    const waltz = [36, 52, 55];
    const steps = [38, 53, 57];
    for (const { length, returns } of found(studyOfKeys([...waltz, ...waltz, ...waltz, ...steps, ...steps], "left")))
      if (length === 3)
        expect(returns.every(({ relation }) => relation === "exact" || relation === "octave")).toBe(true);
  });

  it("are found mirrored in the other hand, place by place from the thumb", () => {
    const notes = FIGURE.flatMap((key, i) => [
      note(`r${i}`, key + 12, `${i}/4`, "1/4"),
      note(`l${i}`, 124 - key - 12, `${i}/4`, "1/4", { staff: 2 }),
    ]);
    const [figure] = figuresOf(studyOn(passage(notes, "both", 2)));
    expect(figure!.returns[0]).toMatchObject({ relation: "mirrored", side: "left", alike: 1 });
    expect(figure!.returns[0]!.notes).toEqual(["l0", "l1", "l2", "l3", "l4"]);
  });

  it("are not found where the rhythm differs, in plain steps on other keys, nor in one key struck again", () => {
    expect(figuresOf(studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]))).toEqual([]);
    expect(figuresOf(studyOfKeys([60, 60, 60, 60, 60, 60, 60, 60]))).toEqual([]);
    const uneven = [...FIGURE, ...FIGURE].map((key, i) => note(`n${i}`, key, `${i * (i + 1)}/8`, "1/8"));
    expect(figuresOf(studyOn(passage(uneven)))).toEqual([]);
  });

  it("are found where one key again and again is moved to another", () => {
    const groups = [60, 62, 64].flatMap((key) => [key, key, key, key]);
    expect(found(studyOfKeys(groups)).map(({ returns }) => returns.map(({ by }) => by))).toEqual([[2, 4]]);
  });

  it("are remembered by the first stroke alone of a key struck again, unless every figure is to be kept", () => {
    const study = studyOfKeys([60, 62, 64].flatMap((key) => [key, key, key, key]));
    const remembered = (tying: "alike" | "all") => memoriesOf(study, figuresOf(study), tying).length;
    expect(remembered("all")).toBeGreaterThan(remembered("alike"));
    expect(memoriesOf(study, figuresOf(study), "alike").map(({ note }) => note)).not.toContain(notesAsked(study)[1]);
  });

  it("are remembered from their first note where the hand leaps to its return, as to a beginning", () => {
    const bound = (by: number) => {
      const study = studyOfKeys([...FIGURE, 67 + by, ...FIGURE]);
      return memoriesOf(study, figuresOf(study), "alike").map(({ note }) => /n(\d+)$/.exec(note)![1]);
    };
    expect(bound(24)).toContain("1");
    expect(bound(0)).not.toContain("1");
    expect(bound(0)).toContain("2");
  });

  it("end as their other turns do where a pattern ends, though nothing follows", () => {
    const turn = [45, 52, 61, 57, 61, 52];
    const bound = (keys: number[]) => {
      const study = studyOfKeys(keys, "left");
      return memoriesOf(study, figuresOf(study), "alike").flatMap(({ returns }) =>
        returns.map(({ note }) => Number(/n(\d+)$/.exec(note)![1])),
      );
    };
    expect(Math.max(...bound([...turn, ...turn, ...turn]))).toBe(18);
    expect(Math.max(...bound([...turn, ...turn, ...turn, 55]))).toBe(17);
  });

  it("are remembered note by note where they feel the same, but for what is approached or left otherwise", () => {
    const study = studyOfKeys([...FIGURE, ...FIGURE.map((k) => k + 12), ...FIGURE.map((k) => k + 1)]);
    const figures = figuresOf(study);
    const numbers = (tying: "alike" | "all") =>
      memoriesOf(study, figures, tying).map(({ note, returns }) =>
        [note, ...returns.map((r) => r.note)].map((id) => Number(/n(\d+)/.exec(id)![1])),
      );
    expect(numbers("alike")).toEqual([
      [2, 7],
      [3, 8],
      [4, 9],
    ]);
    expect(numbers("all").length).toBeGreaterThanOrEqual(3);
    expect(memoriesOf(study, figures, "none")).toEqual([]);
  });

  it("are not remembered where one note alone goes as before", () => {
    const arpeggio = [60, 64, 67, 72, 76, 79];
    const remembered = (keys: readonly number[], tying: "alike" | "all") => {
      const study = studyOfKeys(keys);
      return memoriesOf(study, figuresOf(study), tying).length;
    };
    expect(remembered([...arpeggio, 77], "alike")).toBe(0);
    expect(remembered([...arpeggio, 77], "all")).toBeGreaterThan(0);
    expect(remembered([...arpeggio, 84], "alike")).toBeGreaterThan(1);
  });

  it("of a sequence are remembered by the first of the times running on keys of like colours, less where others lie between", () => {
    const bonds = (keys: readonly number[]) => {
      const study = studyOfKeys(keys);
      return memoriesOf(study, figuresOf(study), "alike").flatMap(({ note, returns }) =>
        returns.map((again) => ({
          from: placeOf(note),
          apart: placeOf(again.note) - placeOf(note),
          worth: again.worth,
        })),
      );
    };
    const placeOf = (note: string): number => Number(/n(\d+)$/.exec(note)![1]);
    const white = [60, 62, 64, 65, 67, 69, 71, 72];
    const even = bonds([0, 1, 2, 3, 4].flatMap((step) => [0, 2, 1, 3].map((on) => white[step + on]!)));
    expect(even.every(({ from }) => from <= 4)).toBe(true);
    expect(new Set(even.map(({ apart }) => apart))).toEqual(new Set([4, 8, 12, 16]));
    expect(new Set(even.map(({ worth }) => worth))).toEqual(new Set([WEIGHTS.memory]));
    const past = bonds([60, 64, 62, 65, 61, 65, 63, 66, 62, 66, 64, 67]).filter(({ apart }) => apart === 8);
    expect(past.length).toBeGreaterThan(0);
    for (const { worth } of past) expect(worth).toBeCloseTo(WEIGHTS.memory * 0.75 * PHYSICS.worthFartherOn, 9);
  });

  it("leave a note of a chord free where its key has another colour, for another finger plays there", () => {
    const octaves = (keys: number[]) => {
      const study = studyOfKeys(keys.map((key) => [key, key + 12]));
      return memoriesOf(study, figuresOf(study), "alike").map(({ note }) => /n(\d+)/.exec(note)![1]);
    };
    // A, C sharp, B, D and the same a fifth higher: only B is answered by a key of another colour.
    expect(new Set(octaves([69, 73, 71, 74, 76, 80, 78, 81]))).toEqual(new Set(["2"]));
    expect(new Set(octaves([60, 64, 62, 65, 67, 71, 69, 72]))).toEqual(new Set(["2", "3"]));
  });

  it("are none in a plain scale of double notes on other keys, and are where its steps turn", () => {
    const thirds = (keys: number[]) => found(studyOfKeys(keys.map((key) => [key, key + (key % 12 === 4 ? 3 : 4)])));
    expect(thirds([60, 62, 64, 65, 67, 69, 71, 72])).toEqual([]);
    expect(thirds([60, 64, 62, 65, 62, 65, 64, 67]).length).toBeGreaterThan(0);
  });

  it("are worth what the weights say, more where the player asks for them", () => {
    const study = studyOfKeys([...FIGURE, ...FIGURE.map((k) => k + 12)]);
    const worth = (tying: "alike" | "all") => memoriesOf(study, figuresOf(study), tying)[0]!.returns[0]!.worth;
    expect(worth("alike")).toBe(WEIGHTS.memory);
    expect(worth("all")).toBe(WEIGHTS.memory * WEIGHTS.memoryAsked);
  });

  it("begins on a beat, though what leads up to it sounds like it", () => {
    // The last note of a run down and the shape 0 2 1 3 on every second step after it: 1 0 2 1 would do as well.
    const run = [67, 69, 71, 72, 74, 76, 77, 79, 81, 79, 77, 76, 74, 72, 71, 69];
    const shapes = [0, 2, 4, 6].flatMap((by) =>
      [0, 2, 1, 3].map((step) => [67, 69, 71, 72, 74, 76, 77, 79, 81, 83][step + by]!),
    );
    const study = studyOfKeys([...run, ...shapes]);
    const notes = notesAsked(study);
    const figure = figuresOf(study).find(({ returns }) => returns.some(({ inSequence }) => inSequence))!;
    expect(figure.notes).toEqual(notes.slice(16, 20));
    expect(figure.returns.filter(({ inSequence }) => inSequence)).toHaveLength(3);
  });
});
