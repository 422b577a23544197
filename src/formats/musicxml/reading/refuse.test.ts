import { strToU8, zipSync } from "fflate";
import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import type { FileIssue } from "../../issue";
import { LARGEST_FILE, readScore } from "./open";
import { partRemarks, pianoPart } from "../parts";

const good = scoreXml([noteXml("C4", { length: 48 })]);

function refusalOf(file: Uint8Array): FileIssue {
  const read = readScore(file);
  if (read.ok) throw new Error("The file was read.");
  return read.issues[0]!;
}

describe("refusing a file", () => {
  it.each([
    ["an empty file", new Uint8Array(0), "empty"],
    ["blank text", bytes("  \n"), "empty"],
    ["text that is no XML", bytes("just some words"), "not-xml"],
    ["broken XML", bytes(good.replace("</note>", "")), "not-xml"],
    ["an XML file of another kind", bytes("<recipe><egg/></recipe>"), "not-musicxml"],
    ["a score without parts", bytes("<score-partwise/>"), "no-parts"],
    ["a score without notes", bytes(scoreXml([""])), "no-notes"],
    ["a note without duration", bytes(good.replace(/<duration>48<\/duration>/, "")), "bad-duration"],
    ["a negative duration", bytes(good.replace(">48<", ">-4<")), "bad-duration"],
    ["a damaged zip", strToU8("PK\u0003\u0004 and then nothing"), "bad-zip"],
    ["a zip without a score", zipSync({ "readme.txt": strToU8("hello") }), "bad-container"],
  ])("tells of %s", (_what, file, code) => {
    const refused = refusalOf(file);
    expect(refused.code).toBe(code);
    expect(refused.message).toMatch(/^[A-Z].*\.$/);
  });

  it("says line and column of broken XML, and the bar of a bad duration", () => {
    expect(refusalOf(bytes(good.replace("</part>", ""))).place).toMatch(/^line \d+, column \d+$/);
    expect(refusalOf(bytes(good.replace(">48<", ">none<"))).place).toEqual({ part: "P1", bar: "1" });
  });

  it("refuses an ENTITY declaration but not a DOCTYPE", () => {
    const bomb = good.replace(/<!DOCTYPE[^>]*>/, `<!DOCTYPE score-partwise [<!ENTITY lol "lol">]>`);
    expect(refusalOf(bytes(bomb)).code).toBe("entity");
    expect(readScore(bytes(good)).ok).toBe(true);
  });

  it("refuses a file over 20 MB and a small file that unpacks to far more", () => {
    expect(refusalOf(new Uint8Array(LARGEST_FILE + 1)).code).toBe("too-large");
    const bomb = zipSync({ "score.xml": new Uint8Array(80 * 1024 * 1024) }, { level: 9 });
    expect(bomb.length).toBeLessThan(1024 * 1024);
    expect(refusalOf(bomb).code).toBe("too-large");
  });
});

describe("coping with encodings", () => {
  const accented = good.replace("<part-name>Piano<", "<part-name>Übung<");
  const nameOf = (file: Uint8Array): string => {
    const read = readScore(file);
    if (!read.ok) throw new Error(read.issues[0]!.message);
    return read.value.parts[0]!.name;
  };

  it("reads UTF-16 of either order, with and without a byte order mark", () => {
    const labelled = accented.replace("UTF-8", "UTF-16");
    const little = Buffer.from(`\ufeff${labelled}`, "utf16le");
    expect(nameOf(little)).toBe("Übung");
    expect(nameOf(Buffer.from(little).swap16())).toBe("Übung");
    expect(nameOf(Buffer.from(labelled, "utf16le"))).toBe("Übung");
  });

  it("reads what is labelled wrongly", () => {
    expect(nameOf(bytes(accented.replace("UTF-8", "UTF-16")))).toBe("Übung");
    expect(nameOf(bytes(accented.replace("UTF-8", "ISO-8859-1")))).toBe("Übung");
    expect(nameOf(Buffer.from(accented, "latin1"))).toBe("Übung");
  });

  it("reads Latin-1 by its label and a UTF-8 byte order mark", () => {
    expect(nameOf(Buffer.from(accented.replace("UTF-8", "ISO-8859-1"), "latin1"))).toBe("Übung");
    expect(nameOf(bytes(`\ufeff${accented}`))).toBe("Übung");
  });
});

describe("parts told plainly", () => {
  const remarks = (text: string): readonly string[] => {
    const read = readScore(bytes(text));
    if (!read.ok) throw new Error(read.issues[0]!.message);
    return partRemarks(read.value, pianoPart(read.value));
  };

  it("says nothing of a piano on two staves", () => {
    expect(remarks(scoreXml([noteXml("C4")], { staves: 2 }))).toEqual([]);
  });

  it("says that one staff can be worked out for either hand", () => {
    expect(remarks(scoreXml([noteXml("C4")]))[0]).toMatch(/^The piano part has one staff/);
  });

  it("says which part was taken where none is for a piano", () => {
    expect(remarks(scoreXml([noteXml("C4")], { part: "Glass harp" }))[0]).toBe(
      "No part is for a piano. The part “Glass harp”, on one staff, is taken; it can be worked out for either hand.",
    );
  });

  it("refuses a piece without notes in a sentence", () => {
    const read = readScore(bytes(scoreXml(["<note><rest/><duration>48</duration><voice>1</voice></note>"])));
    expect(read.ok ? "" : read.issues[0]!.message).toBe("The score holds no notes.");
  });
});
