import { strToU8, unzipSync, zipSync } from "fflate";
import type { Fingering } from "@/core/fingering/study/fingering";
import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import { readScore } from "../reading/open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import type { Score } from "../score";
import { writeFile, writeFingering } from "./write-fingering";

function score(file: Uint8Array): Score {
  const read = readScore(file);
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return read.value;
}

function written(text: string, fingering: Record<string, number | null>): string {
  const read = score(bytes(text));
  return writeFingering(read, pianoPart(read), {
    fingering: fingering as Fingering,
    handOf: (note) => (note.includes("-s2-") ? "left" : "right"),
  });
}

/** The text with all that a fingering adds taken out again. */
function without(text: string): string {
  return text
    .replace(/<fingering[^>]*>[^<]*<\/fingering>/g, "")
    .replace(/<technical><\/technical>/g, "")
    .replace(/<notations><\/notations>/g, "");
}

describe("writing fingering into MusicXML", () => {
  const chord = scoreXml([
    `<!-- kept -->${noteXml("C4", { lyric: true })}${noteXml("E4", { chord: true, notations: "<notations><slur type='start'/></notations>" })}` +
      noteXml("G4", { notations: "<notations>\n  <technical>\n    <up-bow/>\n  </technical></notations>" }) +
      noteXml("A4", { notations: "<notations><technical/></notations>" }) +
      noteXml("B4", { notations: "<notations/>" }),
  ]);

  it("adds a digit to each note and changes nothing else", () => {
    const out = written(chord, {
      "b1-s1-v1-n1": 1,
      "b1-s1-v1-n2": 2,
      "b1-s1-v1-n3": 3,
      "b1-s1-v1-n4": 4,
      "b1-s1-v1-n5": 5,
    });
    expect(without(out)).toBe(without(chord.replace("<technical/>", "").replace("<notations/>", "")));
    expect(out).toContain("<!-- kept -->");
    expect(out).not.toMatch(/<note id=/);
  });

  it("puts notations before the lyric and the digit inside technical marks that are there", () => {
    const out = written(chord, { "b1-s1-v1-n1": 1, "b1-s1-v1-n3": 3 });
    expect(out).toMatch(/<fingering placement="above">1<\/fingering><\/technical><\/notations><lyric>/);
    expect(out).toMatch(/<up-bow\/><fingering placement="above">3<\/fingering>\s*<\/technical>/);
  });

  it("writes over the staff for the right hand and under it for the left", () => {
    const text = scoreXml(
      [
        noteXml("C4", { length: 48 }) +
          "<backup><duration>48</duration></backup>" +
          noteXml("C3", { length: 48, staff: 2, voice: 5 }),
      ],
      { staves: 2 },
    );
    const out = written(text, { "b1-s1-v1-n1": 2, "b1-s2-v5-n1": 5 });
    expect(out).toContain(`<fingering placement="above">2<`);
    expect(out).toContain(`<fingering placement="below">5<`);
  });

  it("replaces printed digits of the passage, drops them where no finger plays, and leaves those outside", () => {
    const digit = (d: string) => ({ notations: `<notations><technical>${d}</technical></notations>`, length: 16 });
    const text = scoreXml([
      noteXml("C4", digit("<fingering>1</fingering>")) +
        noteXml("D4", digit(`<fingering>2</fingering><fingering substitution="yes">3</fingering>`)) +
        noteXml("E4", digit("<fingering>4</fingering>")),
    ]);
    const out = written(text, { "b1-s1-v1-n1": null, "b1-s1-v1-n2": 5 });
    expect([...out.matchAll(/<fingering[^>]*>(\d)/g)].map((m) => m[1])).toEqual(["5", "4"]);
  });

  it("reads back as the same fingering", () => {
    const fingering: Record<string, number> = {
      "b1-s1-v1-n1": 1,
      "b1-s1-v1-n2": 3,
      "b1-s1-v1-n3": 5,
      "b1-s1-v1-n4": 4,
      "b1-s1-v1-n5": 2,
    };
    const again = pianoPart(score(bytes(written(chord, fingering))));
    expect(Object.fromEntries(passageFrom(again, 1, 1, "right").notes.map((n) => [n.id, n.printed]))).toEqual(
      fingering,
    );
  });

  it("gives a compressed score back compressed, other files as they were", () => {
    const container = `<container><rootfiles><rootfile full-path="music/score.xml"/></rootfiles></container>`;
    const packed = zipSync({
      mimetype: strToU8("application/vnd.recordare.musicxml"),
      "META-INF/container.xml": strToU8(container),
      "music/score.xml": strToU8(chord),
      "cover.png": new Uint8Array([1, 2, 3]),
    });
    const read = score(packed);
    const out = unzipSync(
      writeFile(
        read,
        writeFingering(read, pianoPart(read), {
          fingering: { "b1-s1-v1-n1": 2 } as unknown as Fingering,
          handOf: () => "right",
        }),
      ),
    );
    expect(out["cover.png"]).toEqual(new Uint8Array([1, 2, 3]));
    expect(Buffer.from(out["META-INF/container.xml"]!).toString()).toBe(container);
    expect(Buffer.from(out["music/score.xml"]!).toString()).toContain(`<fingering placement="above">2<`);
  });

  it("labels what it writes as the UTF-8 it is", () => {
    const read = score(Buffer.from(`\ufeff${chord.replace("UTF-8", "UTF-16")}`, "utf16le"));
    expect(writeFingering(read, pianoPart(read), { fingering: {}, handOf: () => "right" })).toMatch(
      /^<\?xml version="1.0" encoding="UTF-8"\?>/,
    );
  });
});
