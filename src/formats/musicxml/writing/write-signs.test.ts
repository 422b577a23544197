import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import type { SignPlaced } from "@/core/motion/marks/signs";
import type { NoteId } from "@/core/passage/note";
import { readScore } from "../reading/open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import { writeFingering } from "./write-fingering";

const CHORDS = scoreXml([
  noteXml("C4") + noteXml("G4", { chord: true }) + noteXml("D4") + noteXml("A4", { chord: true }),
]);
const id = (n: number) => `b1-s1-v1-n${n}` as NoteId;

function written(...signs: readonly Partial<SignPlaced>[]): string {
  const read = readScore(bytes(CHORDS));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  const whole = signs.map((sign, i): SignPlaced => ({
    key: `s${i}`,
    sign: "rise",
    side: "right",
    note: id(1),
    to: null,
    words: "let the wrist rise",
    above: true,
    own: false,
    ...sign,
  }));
  return writeFingering(read.value, pianoPart(read.value), {
    fingering: { [id(2)]: 5 },
    handOf: () => "right",
    signs: whole,
  });
}

describe("signs of the hand plan in MusicXML", () => {
  it("are words before their note, over the staff or under it, never between the notes of a chord", () => {
    const text = written({ note: id(2) }, { note: id(3), above: false, words: "breathe <& here>", sign: "words" });
    expect(text.indexOf("<words>let the wrist rise</words>")).toBeLessThan(text.indexOf("<note>"));
    expect(text).toContain(`<direction placement="above"><direction-type><words>let the wrist rise</words>`);
    expect(text).toContain(`<direction placement="below"><direction-type><words>breathe &lt;&amp; here&gt;</words>`);
    expect(text).not.toMatch(/<\/direction>\s*<note>\s*<chord\/>/);
  });

  it("are a bracket from the first note of a group to behind its last, with its chord", () => {
    const text = written({ sign: "group", to: id(3) });
    const [start, stop] = [text.indexOf(`<bracket type="start"`), text.indexOf(`<bracket type="stop"`)];
    expect(start).toBeLessThan(text.indexOf("<note>"));
    expect(stop).toBeGreaterThan(text.lastIndexOf("</note>"));
  });

  it("have brackets with numbers of their own while they overlap, and the first again afterwards", () => {
    const numbers = (text: string, type: string): readonly string[] =>
      [...text.matchAll(new RegExp(`<bracket type="${type}" number="(\\d)"`, "g"))].map(([, number]) => number!);
    const over = written({ sign: "group", to: id(4) }, { sign: "group", note: id(3), to: id(4), side: "left" });
    expect(numbers(over, "start").toSorted()).toEqual(["1", "2"]);
    expect(numbers(over, "stop").toSorted()).toEqual(["1", "2"]);
    const after = written({ sign: "group", to: id(2) }, { sign: "group", note: id(3), to: id(4), side: "left" });
    expect(numbers(after, "start")).toEqual(["1", "1"]);
  });

  it("change nothing of the music: it reads back the same", () => {
    const notes = (text: string) => {
      const read = readScore(bytes(text));
      if (!read.ok) throw new Error(read.issues[0]!.message);
      expect(read.issues).toEqual([]);
      return passageFrom(pianoPart(read.value), 1, 1, "right").notes.map((n) => [n.id, n.pitch, n.onset, n.duration]);
    };
    expect(notes(written({}, { sign: "group", to: id(4) }))).toEqual(notes(CHORDS));
  });

  it("are left out where their note is not in the file", () => {
    expect(written({ note: "b9-s1-v1-n1" as NoteId })).not.toContain("<direction");
  });
});
