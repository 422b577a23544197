import { compose } from "@/demo/compose";
import { DEMO_PIECES } from "@/demo/scenario";
import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import { excerpt } from "./excerpt";
import { readScore } from "../reading/open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import type { Part, Score } from "../score";

function opened(text: string): { score: Score; part: Part } {
  const read = readScore(bytes(text));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return { score: read.value, part: pianoPart(read.value) };
}

describe("an excerpt", () => {
  it("carries the note ids, takes digits out, and begins with what is in force", () => {
    const digit = "<notations><technical><fingering>3</fingering></technical></notations>";
    const change = "<attributes><key><fifths>-3</fifths></key><clef><sign>F</sign><line>4</line></clef></attributes>";
    const { score, part } = opened(
      scoreXml([
        noteXml("C4", { length: 48 }),
        change + noteXml("D4", { length: 48 }),
        noteXml("E4", { length: 48, notations: digit }),
      ]),
    );
    const text = excerpt(score, part, 3, 3);
    expect(text).toContain(`<note id="b3-s1-v1-n1">`);
    expect(text).not.toContain("<fingering");
    expect(text).toMatch(
      /<measure number="3"><attributes><divisions>12<\/divisions><key><fifths>-3<\/fifths><\/key><time>.*<\/time><clef><sign>F</,
    );
    expect(text).not.toContain("b2-");
  });

  it("lets the first bar's own attributes win", () => {
    const { score, part } = opened(
      scoreXml([
        noteXml("C4", { length: 48 }),
        "<attributes><key><fifths>2</fifths></key></attributes>" + noteXml("D4", { length: 48 }),
      ]),
    );
    expect([...excerpt(score, part, 2, 2).matchAll(/<fifths>(.*?)</g)].map((m) => m[1])).toEqual(["2"]);
  });

  it("replaces ids of the file's own, and reads back as the same passage", () => {
    for (const { score: composed } of DEMO_PIECES) {
      const { score, part } = opened(compose(composed).replace("<note>", `<note id="of-its-own" color='x'>`));
      const text = excerpt(score, part, 1, part.bars.length);
      expect(text).not.toContain("of-its-own");
      const again = opened(text).part;
      const pitches = (p: Part) =>
        passageFrom(p, 1, p.bars.length, "both").notes.map((n) => [n.id, n.pitch, n.onset, n.duration]);
      expect(pitches(again)).toEqual(pitches(part));
    }
  });

  it("refuses bars that are not there", () => {
    const { score, part } = opened(scoreXml([noteXml("C4", { length: 48 })]));
    expect(() => excerpt(score, part, 1, 2)).toThrow("not in this part");
  });
});
