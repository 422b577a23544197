import type { Hands } from "@/core/passage/passage";
import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import { readScore } from "./open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import type { Score } from "../score";

function score(text: string): Score {
  const read = readScore(bytes(text));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return read.value;
}

function passage(text: string, hands: Hands = "both", from = 1, to?: number) {
  const part = pianoPart(score(text));
  return passageFrom(part, from, to ?? part.bars.length, hands);
}

describe("reading MusicXML", () => {
  it("gives each note an id of bar, staff, voice and order, and exact places", () => {
    const text = scoreXml([
      noteXml("C4", { length: 4 }) +
        noteXml("D4", { length: 4 }) +
        noteXml("E4", { length: 4 }) +
        noteXml("F4", { length: 36 }),
    ]);
    expect(passage(text).notes.map(({ id, onset, duration, pitch }) => [id, onset, duration, pitch])).toEqual([
      ["b1-s1-v1-n1", "0", "1/3", 60],
      ["b1-s1-v1-n2", "1/3", "1/3", 62],
      ["b1-s1-v1-n3", "2/3", "1/3", 64],
      ["b1-s1-v1-n4", "1", "3", 65],
    ]);
  });

  it("follows backup and forward through several voices and staves", () => {
    const bar =
      noteXml("G4", { length: 48 }) +
      "<backup><duration>48</duration></backup><forward><duration>12</duration></forward>" +
      noteXml("E4", { length: 36, voice: 2 }) +
      "<backup><duration>48</duration></backup>" +
      noteXml("C3", { length: 48, voice: 5, staff: 2 });
    const { notes, staves } = passage(scoreXml([bar], { staves: 2 }));
    expect(staves).toBe(2);
    expect(notes.map((n) => [n.id, n.onset])).toEqual([
      ["b1-s2-v5-n1", "0"],
      ["b1-s1-v1-n1", "0"],
      ["b1-s1-v2-n1", "1"],
    ]);
  });

  it("joins ties over bar lines, and begins a note that is tied into the passage with the passage", () => {
    const text = scoreXml([
      noteXml("C4", { length: 48, tie: ["start"] }),
      noteXml("C4", { length: 48, tie: ["stop", "start"] }),
      noteXml("C4", { length: 48, tie: ["stop"] }),
    ]);
    const [whole] = passage(text).notes;
    expect(whole).toMatchObject({ id: "b1-s1-v1-n1", duration: "12", tied: ["b2-s1-v1-n1", "b3-s1-v1-n1"] });
    const [entered] = passage(text, "both", 2, 3).notes;
    expect(entered).toMatchObject({ id: "b2-s1-v1-n1", onset: "4", duration: "8" });
  });

  it("puts chord notes at one onset and grace notes before the note they lean on", () => {
    const text = scoreXml([
      noteXml("B3", { grace: true }) +
        noteXml("D4", { grace: true }) +
        noteXml("C4") +
        noteXml("E4", { chord: true }) +
        noteXml("G4", { length: 36 }),
    ]);
    expect(passage(text).notes.map((n) => [n.pitch, n.onset, n.grace])).toEqual([
      [59, "0", -2],
      [62, "0", -1],
      [60, "0", 0],
      [64, "0", 0],
      [67, "1", 0],
    ]);
  });

  it("leaves pitches under an octave line as they sound", () => {
    const line = `<direction><direction-type><octave-shift type="down" size="8"/></direction-type></direction>`;
    expect(passage(scoreXml([line + noteXml("C6", { length: 48 })])).notes[0]!.pitch).toBe(84);
  });

  it("keeps the number of a pick-up bar and counts its real length", () => {
    const text = scoreXml([noteXml("G4"), noteXml("C5", { length: 48 })]).replace(
      `<measure number="1">`,
      `<measure number="0" implicit="yes">`,
    );
    expect(passage(text).notes.map((n) => [n.bar, n.onset])).toEqual([
      ["0", "0"],
      ["2", "1"],
    ]);
  });

  it("leaves repeats as written", () => {
    const repeat = `<barline location="right"><repeat direction="backward"/></barline>`;
    expect(
      passage(scoreXml([noteXml("C4", { length: 48 }) + repeat, noteXml("D4", { length: 48 })])).notes.length,
    ).toBe(2);
  });

  it("chooses the piano among several parts and keeps printed digits", () => {
    const digit = `<notations><technical><fingering>3</fingering></technical></notations>`;
    const text = scoreXml([noteXml("C4", { length: 48, notations: digit })])
      .replace("<score-part id", `<score-part id="P0"><part-name>Flute</part-name></score-part><score-part id`)
      .replace(
        `<part id="P1">`,
        `<part id="P0"><measure number="1">${noteXml("C6", { length: 48 })}</measure></part><part id="P1">`,
      );
    const part = pianoPart(score(text));
    expect(part.name).toBe("Piano");
    expect(passageFrom(part, 1, 1, "right").notes[0]!.printed).toBe(3);
  });

  it("passes over what is not on the keyboard or has no pitch, and says so", () => {
    const unpitched = `<note><unpitched/><duration>12</duration><voice>1</voice></note>`;
    const read = readScore(bytes(scoreXml([noteXml("C4") + noteXml("C9") + unpitched])));
    expect(read.issues.map((i) => [i.code, i.place])).toEqual([
      ["off-keyboard", { part: "P1", bar: "1" }],
      ["unpitched", { part: "P1", bar: "1" }],
    ]);
  });
});
