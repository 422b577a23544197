import { strToU8, zipSync } from "fflate";
import { studyOf } from "@/core/fingering/study/study-data";
import { bytes, noteXml, scoreXml } from "../../tests/support/musicxml";
import { seeded } from "../../tests/support/seeded";
import { excerpt } from "./musicxml/engraving/excerpt";
import { readScore } from "./musicxml/reading/open";
import { pianoPart } from "./musicxml/parts";
import { passageFrom } from "./musicxml/passage";

const whole = scoreXml(
  [
    noteXml("C4", { tie: ["start"] }) +
      noteXml("C4", { tie: ["stop"] }) +
      noteXml("E4", { grace: true }) +
      noteXml("G4", { length: 24 }),
    `<direction><direction-type><dynamics><f/></dynamics></direction-type><staff>1</staff><sound tempo="90"/></direction>` +
      noteXml("C4", { length: 48 }) +
      noteXml("E4", { length: 48, chord: true, notations: "<notations><arpeggiate/></notations>" }) +
      "<backup><duration>48</duration></backup>" +
      noteXml("C3", { length: 48, staff: 2, voice: 5 }),
  ],
  { staves: 2 },
);

/** Everything the application does with a file first. */
function opened(file: Uint8Array): "refused" | "read" {
  const read = readScore(file);
  if (!read.ok) {
    for (const { message } of read.issues) expect(message).toMatch(/^[A-Z“].{5,300}\.$/);
    return "refused";
  }
  const part = pianoPart(read.value);
  const passage = passageFrom(part, 1, part.bars.length, "both");
  for (const { id, onset, duration } of passage.notes) {
    expect(id).toMatch(/^b\d+-s\d+-v[A-Za-z0-9]+-n\d+$/);
    expect(`${onset} ${duration}`).toMatch(/^-?\d+(\/\d+)? \d+(\/\d+)?$/);
  }
  studyOf({
    passage,
    hands: { right: { measured: {}, resting: [] }, left: { measured: {}, resting: [] } },
    octaveWidth: 164.5,
    manner: { tempo: 90, touch: "legato", pedal: false },
  });
  excerpt(read.value, part, 1, part.bars.length);
  return "read";
}

const WORDS = [
  "Infinity",
  "NaN",
  "-1",
  "0",
  "1e309",
  "constructor",
  "__proto__",
  "9".repeat(40),
  "",
  "2.5",
  "<",
  "&#0;",
  "3/0",
];

describe("damaged files", () => {
  it("never end in an exception, whatever a figure or a word is changed to: 2,000 seeded mutants of a score", () => {
    const random = seeded(12);
    const places = [...whole.matchAll(/>([^<>\s]+)<|"([^"]+)"/g)];
    const outcomes = { read: 0, refused: 0 };
    for (let i = 0; i < 2000; i++) {
      let text = whole;
      for (let n = 0; n <= i % 3; n++) {
        const place = random.pick(places);
        const word = random.pick(WORDS);
        const found = place[1] ?? place[2]!;
        text = text.replace(place[0], place[0].replace(found, word));
      }
      outcomes[opened(bytes(text))]++;
    }
    expect(outcomes.read).toBeGreaterThan(200);
    expect(outcomes.refused).toBeGreaterThan(200);
  });

  it("never end in an exception, whatever bytes are changed, cut out or doubled: 2,000 seeded mutants", () => {
    const random = seeded(13);
    const source = bytes(whole);
    const outcomes = { read: 0, refused: 0 };
    for (let i = 0; i < 2000; i++) {
      const at = random.whole(0, source.length - 1);
      const length = random.whole(0, 39);
      const way = i % 3;
      const changed =
        way === 0
          ? source.map((byte, place) => (place === at ? random.whole(0, 255) : byte))
          : way === 1
            ? Uint8Array.from([...source.subarray(0, at), ...source.subarray(at + length)])
            : Uint8Array.from([...source.subarray(0, at + length), ...source.subarray(at)]);
      outcomes[opened(changed)]++;
    }
    expect(outcomes.refused).toBeGreaterThan(500);
  });

  it("refuse a packed score with a flipped bit, or read it whole: 1,500 seeded mutants", () => {
    const random = seeded(14);
    const packed = zipSync({ "score.xml": strToU8(whole) });
    const pitches = (file: Uint8Array): string | null => {
      const read = readScore(file);
      return read.ok
        ? read.value.parts.flatMap((p) => p.bars.flatMap((b) => b.heads.map((h) => `${h.pitch}@${h.onset}`))).join()
        : null;
    };
    const right = pitches(packed);
    let refused = 0;
    for (let i = 0; i < 1500; i++) {
      const at = random.whole(0, packed.length - 1);
      const bit = 1 << random.whole(0, 7);
      const found = pitches(packed.map((byte, place) => (place === at ? byte ^ bit : byte)));
      if (found === null) refused++;
      else expect(found).toBe(right);
    }
    expect(refused).toBeGreaterThan(1000);
  });

  it.each([
    ["a MIDI file", "MThd\u0000\u0000\u0000\u0006", /MIDI file/],
    ["a PDF", "%PDF-1.7", /PDF/],
    ["a picture", "\u0089PNG\r\n", /picture/],
    ["a web page", "<!DOCTYPE html><html></html>", /web page/],
  ])("say of %s what it is", (_what, head, words) => {
    const read = readScore(Uint8Array.from([...head].map((c) => c.charCodeAt(0))));
    expect(read.ok ? "" : read.issues[0]!.message).toMatch(words);
  });

  it("say of a packed file that it is protected, and pass over what a packing program puts beside", () => {
    const beside = zipSync({
      "a.musicxml": strToU8(whole),
      "__MACOSX/._a.musicxml": strToU8("x"),
      "._b.xml": strToU8("x"),
    });
    expect(readScore(beside).ok).toBe(true);
    const locked = zipSync({ "a.musicxml": strToU8(whole) });
    const directory = locked.findIndex(
      (_, i) => locked[i] === 0x50 && locked[i + 1] === 0x4b && locked[i + 2] === 1 && locked[i + 3] === 2,
    );
    locked[directory + 8]! |= 1;
    const read = readScore(locked);
    expect(read.ok ? "" : read.issues[0]!.message).toMatch(/protected by a password/);
  });

  it("refuse in a sentence what names a file that is no file", () => {
    for (const name of ["constructor", "__proto__", "toString"]) {
      const container = `<container><rootfiles><rootfile full-path="${name}"/></rootfiles></container>`;
      const read = readScore(zipSync({ "META-INF/container.xml": strToU8(container), "x.txt": strToU8("x") }));
      expect(read.ok ? "" : read.issues[0]!.message).toMatch(/does not hold it/);
    }
  });

  it("are refused past the limits, before they are read", () => {
    const rests = scoreXml([`<note><rest/><duration>1</duration></note>`.repeat(120_001) + noteXml("C4")]);
    expect(refusalOf(bytes(rests))).toMatch(/notes, more than/);
    const tags = scoreXml(["<a/>".repeat(1_000_001)]);
    expect(refusalOf(zipSync({ "score.xml": strToU8(tags) }))).toMatch(/elements, more than/);
    const primes = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31].map(
      (p) => `<attributes><divisions>${p}</divisions></attributes>${noteXml("C4", { length: 1 })}`,
    );
    expect(refusalOf(bytes(scoreXml([primes.join("")])))).toMatch(/finer than any music/);
  });
});

function refusalOf(file: Uint8Array): string {
  const read = readScore(file);
  return read.ok ? "" : read.issues[0]!.message;
}
