import { bytes, noteXml, partsXml } from "../../../tests/support/musicxml";
import { excerpt } from "./engraving/excerpt";
import type { Fingering } from "@/core/fingering/study/fingering";
import { readScore } from "./reading/open";
import { partById, partRemarks, partsToChoose, pianoPart } from "./parts";
import { passageFrom } from "./passage";
import { writeFingering } from "./writing/write-fingering";
import type { Score } from "./score";

function read(text: string): Score {
  const found = readScore(bytes(text));
  if (!found.ok) throw new Error(found.issues[0]!.message);
  return found.value;
}

const clef = (sign: string): string => `<attributes><clef><sign>${sign}</sign></clef></attributes>`;
const high = [clef("G") + noteXml("C5", { length: 48 }), noteXml("D5", { length: 48 })];
const low = [clef("F") + noteXml("C3", { length: 48 }), noteXml("D3", { length: 48 })];
const pair = (upper: string, lower: string, list?: string): Score =>
  read(
    partsXml(
      [
        { name: upper, bars: high },
        { name: lower, bars: low },
      ],
      list,
    ),
  );

const BRACE = `<part-group type="start" number="1"><group-symbol>brace</group-symbol></part-group><score-part id="P1"><part-name>Upper harp</part-name></score-part><score-part id="P2"><part-name>Bass harp</part-name></score-part><part-group type="stop" number="1"/>`;

describe("a piano written as two parts", () => {
  it.each([
    ["named for the hands", pair("Piano RH", "Piano LH")],
    ["named alike as a piano", pair("Piano 1", "Piano 2")],
    ["held by a brace", pair("", "", BRACE)],
    ["all there is, a treble over a bass", pair("", "")],
  ])("is one of two staves where they are %s", (_how, score) => {
    const part = pianoPart(score);
    expect(part).toMatchObject({ id: "P1+P2", staves: 2, members: ["P1", "P2"] });
    const { notes } = passageFrom(part, 1, 2, "both");
    expect(notes.map((n) => [n.id, n.pitch, n.staff])).toEqual([
      ["b1-s2-v1-n1", 48, 2],
      ["b1-s1-v1-n1", 72, 1],
      ["b2-s2-v1-n1", 50, 2],
      ["b2-s1-v1-n1", 74, 1],
    ]);
  });

  it("is two parts where nothing says that they belong together", () => {
    expect(pianoPart(pair("Glass harp", "Bottle organ")).members).toEqual(["P1"]);
  });

  it("is fingered in its own places and engraved under a brace", () => {
    const score = pair("Piano RH", "Piano LH");
    const part = pianoPart(score);
    const { notes } = passageFrom(part, 1, 2, "both");
    const fingering = Object.fromEntries(notes.map((n) => [n.id, n.staff === 1 ? 2 : 4])) as Fingering;
    const written = writeFingering(score, part, {
      fingering,
      handOf: (id) => (id.includes("-s1-") ? "right" : "left"),
    });
    const again = passageFrom(pianoPart(read(written)), 1, 2, "both").notes;
    expect(again.map((n) => n.printed)).toEqual([4, 2, 4, 2]);
    const drawn = excerpt(score, part, 2, 2);
    expect(drawn).toContain("<group-symbol>brace</group-symbol>");
    expect([...drawn.matchAll(/<note id="([^"]*)"/g)].map((m) => m[1])).toEqual(["b2-s1-v1-n1", "b2-s2-v1-n1"]);
    expect([...drawn.matchAll(/<sign>(.)</g)].map((m) => m[1])).toEqual(["G", "F"]);
  });

  it("can be chosen otherwise, and no other way of joining makes sense", () => {
    const score = pair("Piano RH", "Piano LH");
    expect(partsToChoose(score).map((p) => p.id)).toEqual(["P1+P2", "P1", "P2"]);
    expect(partById(score, "P2+P1")!.bars[0]!.heads.map((h) => h.pitch)).toEqual([48, 72]);
    for (const id of ["P3", "P1+P1", "P1+P2+P2", "+"]) expect(partById(score, id)).toBeNull();
    expect(partRemarks(score, pianoPart(score))[0]).toMatch(/^Two parts of one staff/);
  });
});
