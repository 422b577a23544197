import { note, passage } from "../../../tests/support/passages";
import { tuneOf } from "./passage";
import type { NoteRemedies } from "./remedied";

describe("the tune", () => {
  const notes = [
    note("long", 76, "0", "2"),
    note("under", 64, "0", "1/2"),
    note("leaf", 67, "1/2", "1/2"),
    note("above", 79, "1", "1/2"),
    note("next", 74, "2", "1"),
    note("last", 72, "3", "1"),
  ];

  it("is, as the highest notes, what no higher note sounds over", () => {
    const tune = tuneOf({ ...passage(notes), tune: { top: true } });
    expect([...tune]).toEqual(["long", "above", "next", "last"]);
  });

  it("is a voice by its name, or notes one by one, and nothing where none is named", () => {
    const voices = notes.map((n, i) => ({ ...n, voice: i % 2 === 0 ? "1" : "2" }));
    expect([...tuneOf({ ...passage(voices), tune: { voice: "2" } })]).toEqual(["under", "above", "last"]);
    expect([...tuneOf({ ...passage(notes), tune: { notes: [notes[2]!.id] } })]).toEqual(["leaf"]);
    expect(tuneOf(passage(notes)).size).toBe(0);
  });
});

describe("the tune of a rolled chord", () => {
  const chord = [60, 64, 67, 72].map((key) => note(`k${key}`, key, "0", "2"));
  const rolled = (upward: boolean): NoteRemedies =>
    Object.fromEntries(
      chord.map(({ id }, i) => [
        id,
        { kind: "roll", place: upward ? i - 3 : 3 - i, stepMs: 45, caught: true } as const,
      ]),
    );

  it.each([
    ["struck as one", {}],
    ["rolled upward", rolled(true)],
    ["rolled downward", rolled(false)],
  ])("is its highest note alone, %s", (_how, remedies) => {
    expect([...tuneOf({ ...passage(chord), tune: { top: true }, remedies })]).toEqual(["k72"]);
  });
});
