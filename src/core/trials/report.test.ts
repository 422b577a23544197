import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { pitch } from "../keyboard/pitch";
import { expectedOf } from "./expected";
import { heardOf } from "./heard";
import { reportOf } from "./report";
import type { KeyStruck, Take } from "./take";

const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72], "right", { tempo: 96 });
const asked = expectedOf(study).map(({ at, notes }): KeyStruck => {
  const downMs = (at * 60_000) / 96;
  return { key: notes[0]!.key, downMs, upMs: downMs + 150, velocity: 64 };
});
const played = (keys: readonly KeyStruck[]): Take => ({
  keys,
  pedal: [],
  source: "screen",
  tempo: 96,
  click: false,
  hands: "right",
  snip: null,
});
const report = (keys: readonly KeyStruck[]) => reportOf(heardOf(study, fingered(study, "12312345"), played(keys)));

describe("a take told", () => {
  it("says that a clean one is clean", () => {
    expect(report(asked)).toMatchObject({ first: "Clean.", clean: true, faults: 0, runs: 1, marks: [], why: [] });
    expect(report(asked).onsets.map(({ velocity }) => velocity)).toEqual(asked.map(() => 64));
  });

  it("names what to look at first, with its place, and marks it at its note", () => {
    const wrong = asked.map((key, i) => (i === 2 ? { ...key, key: pitch(66) } : key));
    const { first, marks, faults } = report(wrong);
    expect(first).toMatch(/: another key is struck\.$/);
    expect(marks).toEqual([{ note: expectedOf(study)[2]!.notes[0]!.id, kind: "wrong", semitones: 2 }]);
    expect(faults).toBe(1);
    const two = wrong.filter((_, i) => i !== 6);
    expect(report(two).first).toMatch(/1 more in that bar/);
  });

  it("says so where nothing of the passage was heard", () => {
    expect(report([]).first).toBe("Nothing of the passage was heard.");
    expect(report([]).clean).toBe(false);
  });
});
