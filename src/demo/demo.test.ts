import { handsAsked } from "@/core/passage/passage";
import { readScore } from "@/formats/musicxml/reading/open";
import { passageFrom } from "@/formats/musicxml/passage";
import { pianoPart } from "@/formats/musicxml/parts";
import { tempoFound } from "@/formats/musicxml/reading/tempo-found";
import { bytes } from "../../tests/support/musicxml";
import { compose, type Composed } from "./compose";
import { written } from "./notation";
import { DEMO_MEASUREMENTS, DEMO_PIECES } from "./scenario";

describe("the short notation", () => {
  it("reads lengths, chords, rests, ties, accents and digits", () => {
    const [[first, chord, rest, tied]] = written("8. c#4=2 [e4 g4]' r 16t bb3~") as [[never, never, never, never]];
    expect(first).toMatchObject({
      length: { base: 8, dotted: true, tuplet: null },
      pitches: [{ step: "C", alter: 1, octave: 4, digit: "2" }],
    });
    expect(chord).toMatchObject({ mark: "accent", pitches: [{ step: "E" }, { step: "G" }] });
    expect(rest).toMatchObject({ pitches: [] });
    expect(tied).toMatchObject({ length: { base: 16, tuplet: [3, 2] }, tied: true, pitches: [{ alter: -1 }] });
  });

  it("names what it cannot read", () => {
    expect(() => written("4 c4 h9")).toThrow(`"h9" is no note.`);
    expect(() => written("[c4 x]")).toThrow(`"x" is no pitch.`);
  });

  it("refuses a bar that is too short or a voice with too few bars", () => {
    const piece: Composed = {
      title: "Short",
      fifths: 0,
      time: [4, 4],
      tempo: 60,
      words: "",
      right: ["4 c4 d4 e4"],
      left: ["1 c3"],
    };
    expect(() => compose(piece)).toThrow("Short, bar 1, voice 1: 3 of 4 quarter notes.");
    expect(() => compose({ ...piece, right: ["1 c4 | c4"] })).toThrow("bar 2, voice 5: 0 of 4 quarter notes");
  });

  it("prints an accidental where the bar or the key does not say it, and not again", () => {
    const piece: Composed = {
      title: "Signs",
      fifths: 1,
      time: [4, 4],
      tempo: 60,
      words: "",
      right: ["4 f#4 fn4 fn4 f#4"],
      left: ["1 r"],
    };
    expect([...compose(piece).matchAll(/<accidental>(\w+)</g)].map((m) => m[1])).toEqual(["natural", "sharp"]);
  });
});

describe("the demo's music", () => {
  it.each(DEMO_PIECES.map((piece) => [piece.score.title, piece] as const))(
    "%s is read without a remark and has notes for every passage",
    (_title, piece) => {
      const read = readScore(bytes(compose(piece.score)));
      if (!read.ok) throw new Error(read.issues[0]!.message);
      expect(read.issues).toEqual([]);
      const part = pianoPart(read.value);
      expect(tempoFound(read.value, part, 1).tempo).toBe(piece.score.tempo);
      for (const { fromBar, toBar, hands } of piece.passages) {
        const passage = passageFrom(part, fromBar, toBar, hands);
        expect(passage.notes.length).toBeGreaterThan(20);
        expect(handsAsked(passage).length).toBe(hands === "both" ? 2 : 1);
      }
    },
  );

  it("is about seven different things, for hands on the small side", () => {
    expect(DEMO_PIECES.length).toBeGreaterThanOrEqual(7);
    for (const { rulerSpan } of DEMO_MEASUREMENTS) expect(rulerSpan).toBeLessThan(205);
  });

  it("has notes held over others, chords beyond an octave, and printed digits", () => {
    const passages = DEMO_PIECES.map(({ score }) => {
      const read = readScore(bytes(compose(score)));
      if (!read.ok) throw new Error(read.issues[0]!.message);
      const part = pianoPart(read.value);
      return passageFrom(part, 1, part.bars.length, "both");
    });
    const notes = passages.flatMap((p) => p.notes);
    expect(notes.some((n) => n.tied.length > 0)).toBe(true);
    expect(notes.filter((n) => n.printed !== null).length).toBeGreaterThan(8);
    const wide = passages.some((p) =>
      p.notes.some((a) => p.notes.some((b) => a.onset === b.onset && a.staff === b.staff && b.pitch - a.pitch > 14)),
    );
    expect(wide).toBe(true);
  });
});
