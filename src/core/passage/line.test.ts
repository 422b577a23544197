import { note, passage } from "../../../tests/support/passages";
import { lineOf } from "./line";
import type { Manner } from "./passage";

const MANNER: Manner = { tempo: 60, touch: "legato", pedal: false };

describe("a line", () => {
  it("holds a note through the onsets that come before its end", () => {
    const { strokes } = lineOf(
      passage([note("long", 48, "0", "3"), note("a", 60, "1", "1"), note("b", 62, "2", "1"), note("c", 64, "3", "1")]),
      "right",
      MANNER,
    );
    expect(strokes.map((s) => [s.notes[0], s.onset, s.until])).toEqual([
      ["long", 0, 3],
      ["a", 1, 2],
      ["b", 2, 3],
      ["c", 3, 4],
    ]);
  });

  it("compares exactly: three thirds end where a whole begins", () => {
    const { strokes } = lineOf(passage([note("a", 60, "1/3", "2/3"), note("b", 62, "1", "1")]), "right", MANNER);
    expect(strokes[0]!.until).toBe(1);
  });

  it("makes one stroke of a unison, held for the longest", () => {
    const { strokes } = lineOf(
      passage([note("a", 60, "0", "1"), note("b", 60, "0", "2", { voice: "2" }), note("c", 64, "1", "1")]),
      "right",
      MANNER,
    );
    expect(strokes[0]).toMatchObject({ notes: ["a", "b"], until: 2 });
  });

  it("ends a held note when its key is struck again", () => {
    const { strokes } = lineOf(
      passage([note("a", 60, "0", "4"), note("b", 64, "1", "1"), note("again", 60, "2", "1"), note("c", 67, "3", "1")]),
      "right",
      MANNER,
    );
    expect(strokes[0]!.until).toBe(2);
  });

  it("takes grace notes from the time before the beat", () => {
    const notes = [note("a", 60, "0", "1"), note("g", 63, "1", "0", { grace: -1 }), note("b", 62, "1", "1")];
    const { onsets } = lineOf(passage(notes), "right", MANNER);
    expect(onsets.map((o) => o.gap)).toEqual([Infinity, 920, 80]);
    const fast = lineOf(passage(notes), "right", { ...MANNER, tempo: 480 });
    expect(fast.onsets.map((o) => o.gap)).toEqual([Infinity, 62.5, 62.5]);
  });

  it("says how long each stroke sounds: as written, half where it is detached or dotted, to the next on its key", () => {
    const sounding = (manner: Manner) =>
      lineOf(
        passage([note("a", 60, "0", "1"), note("b", 62, "1", "1", { staccato: true }), note("c", 60, "2", "1/2")]),
        "right",
        manner,
      ).strokes.map((s) => s.soundsMs);
    expect(sounding(MANNER)).toEqual([1000, 500, 500]);
    expect(sounding({ ...MANNER, touch: "detached" })).toEqual([500, 500, 250]);
    const again = lineOf(passage([note("a", 60, "0", "2"), note("b", 60, "1", "1")]), "right", MANNER);
    expect(again.strokes[0]!.soundsMs).toBe(1000);
  });

  it("knows like onsets by their sign: empty for plain bound ones within", () => {
    const signs = (more: object) =>
      lineOf(passage([note("a", 60, "0", "1", more), note("b", 62, "1", "1")]), "right", MANNER).onsets.map(
        (o) => o.sign,
      );
    expect(signs({})).toEqual(["sets out ", ""]);
    expect(signs({ accent: true })[0]).not.toBe("");
    expect(signs({ staccato: true })[0]).not.toBe(signs({ accent: true })[0]);
  });

  it("gives each hand its own staff", () => {
    const both = passage([note("r", 72, "0", "1"), note("l", 48, "0", "1", { staff: 2 })], "both", 2);
    expect(lineOf(both, "left", MANNER).strokes.map((s) => s.notes[0])).toEqual(["l"]);
    expect(lineOf(both, "right", MANNER).strokes.map((s) => s.notes[0])).toEqual(["r"]);
  });
});
