import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import { handOf } from "@/core/passage/passage";
import { remarksOn } from "../../issue";
import { excerpt } from "../engraving/excerpt";
import { readScore } from "./open";
import { pianoPart } from "../parts";
import { passageFrom } from "../passage";
import { writeFingering } from "../writing/write-fingering";

function read(text: string) {
  const found = readScore(bytes(text));
  if (!found.ok) throw new Error(found.issues[0]!.message);
  const part = pianoPart(found.value);
  const passage = passageFrom(part, 1, part.bars.length, "both");
  return { score: found.value, part, passage, remarks: remarksOn(found.issues, part.members) };
}

const back = (length: number): string => `<backup><duration>${length}</duration></backup>`;

describe("chords on one stem over both staves", () => {
  const usual = noteXml("E4", { length: 24 }) + noteXml("F4", { length: 24 });
  const bass = noteXml("C2", { length: 48, staff: 2, voice: 5 });
  const crossing =
    noteXml("A3", { length: 48, staff: 2 }) +
    noteXml("E4", { length: 48, chord: true }) +
    noteXml("G4", { length: 48, chord: true });

  it("are played by the hand of their voice's usual staff, with a remark", () => {
    const { passage, remarks } = read(scoreXml([usual + back(48) + bass, crossing + back(48) + bass], { staves: 2 }));
    const hands = passage.notes.filter((n) => n.bar === "2").map((n) => [n.pitch, handOf(n, passage)]);
    expect(hands).toEqual([
      [36, "left"],
      [57, "right"],
      [64, "right"],
      [67, "right"],
    ]);
    expect(remarks).toEqual([
      "A chord stands on one stem over both staves; all of it is given to the right hand. (bar 2)",
    ]);
  });

  it("single notes that cross stay with their staff, with a remark", () => {
    const over = noteXml("A3", { length: 48, staff: 2 });
    const { passage, remarks } = read(scoreXml([usual + back(48) + bass, over + back(48) + bass], { staves: 2 }));
    expect(
      handOf(
        passage.notes.find((n) => n.pitch === 57)!,
        passage,
      ),
    ).toBe("left");
    expect(remarks[0]).toMatch(/^A voice crosses to the other staff/);
  });
});

describe("what takes time and what sounds", () => {
  it("cue notes take their time and are not played", () => {
    const cue = noteXml("C5", { length: 24 }).replace("<note>", "<note><cue/>");
    const { passage } = read(scoreXml([cue + noteXml("D4") + noteXml("E4"), noteXml("F4", { length: 48 })]));
    expect(passage.notes.map((n) => [n.pitch, n.onset])).toEqual([
      [62, "2"],
      [64, "3"],
      [65, "4"],
    ]);
  });

  it("a tie that is not said to end ends on the same note of the same voice, with a remark", () => {
    const { passage, remarks } = read(
      scoreXml([
        noteXml("C4", { length: 48, tie: ["start"] }),
        noteXml("C4", { length: 48 }),
        noteXml("C4", { length: 48 }),
      ]),
    );
    expect(passage.notes.map((n) => [n.onset, n.duration])).toEqual([
      ["0", "8"],
      ["8", "4"],
    ]);
    expect(remarks.some((words) => words.startsWith("A tie is not said to end"))).toBe(true);
    const apart = read(scoreXml([noteXml("C4", { length: 48, tie: ["start"] }), noteXml("D4", { length: 48 })]));
    expect(apart.passage.notes).toHaveLength(2);
  });

  it("a transposing part sounds, by octaves too, and is spelled so", () => {
    const up = (chromatic: number, octave: number, diatonic: string): string =>
      `<attributes><transpose>${diatonic}<chromatic>${chromatic}</chromatic><octave-change>${octave}</octave-change></transpose></attributes>`;
    const sounding = (attributes: string) =>
      read(scoreXml([attributes + noteXml("C4", { length: 48 })])).passage.notes[0]!;
    expect(sounding(up(0, 1, "<diatonic>0</diatonic>"))).toMatchObject({ pitch: 72, step: 35 });
    expect(sounding(up(-2, 0, "<diatonic>-1</diatonic>"))).toMatchObject({ pitch: 58, step: 27 });
    expect(sounding(up(-2, 0, ""))).toMatchObject({ pitch: 58, step: 27 });
  });
});

describe("marked rolls", () => {
  const chord = (mark: string): string =>
    ["C3", "G3", "E4"]
      .map((p, i) => noteXml(p, { length: 48, chord: i > 0, notations: `<notations>${mark}</notations>` }))
      .join("");

  it("are rolled upward from the beat, downward where the mark says so", () => {
    const up = read(scoreXml([chord("<arpeggiate/>")])).passage.notes;
    expect(up.map((n) => [n.pitch, n.grace, n.rolled !== undefined])).toEqual([
      [48, 0, true],
      [55, 1, true],
      [64, 2, true],
    ]);
    const down = read(scoreXml([chord(`<arpeggiate direction="down"/>`)])).passage.notes;
    expect(down.map((n) => n.pitch)).toEqual([64, 55, 48]);
  });

  it("are written once when the player rolls the chord otherwise", () => {
    const { score, part, passage } = read(scoreXml([chord("<arpeggiate/>")]));
    const remedies = Object.fromEntries(
      passage.notes.map((n, i) => [n.id, { kind: "roll", place: -i, stepMs: 50, caught: true } as const]),
    );
    const xml = writeFingering(score, part, { fingering: {}, handOf: () => "right", remedies });
    expect(xml.match(/<arpeggiate/g)).toHaveLength(3);
    expect(xml.match(/<arpeggiate direction="down"\/>/g)).toHaveLength(3);
  });
});

describe("remarks", () => {
  it("name ornaments, one line a kind with its bars, and leave out other parts", () => {
    const trill = noteXml("C4", {
      length: 48,
      notations: "<notations><ornaments><trill-mark/></ornaments></notations>",
    });
    const { remarks } = read(scoreXml(Array.from({ length: 8 }, () => trill)));
    expect(remarks).toEqual([
      "A trill is fingered on its written note alone; its other notes are yours to choose. (bars 1, 2, 3, 4, 5 and 3 more)",
    ]);
  });
});

describe("an excerpt for the engraver", () => {
  const octave = (type: string): string =>
    `<direction><direction-type><octave-shift type="${type}" size="8" number="1"/></direction-type></direction>`;

  it("begins and ends the lines that go on over its edges", () => {
    const note = noteXml("C5", { length: 48 });
    const { score, part } = read(scoreXml([octave("down") + note, note, note + octave("stop"), note]));
    expect(excerpt(score, part, 2, 2).match(/octave-shift type="\w+"/g)).toEqual([
      `octave-shift type="down"`,
      `octave-shift type="stop"`,
    ]);
    expect(excerpt(score, part, 4, 4)).not.toContain("octave-shift");
  });

  it("beams by the beat where the file has no beam, and leaves a file's own as they are", () => {
    const eighths = (type: string): string =>
      ["C4", "D4", "E4", "F4"]
        .map((p) => noteXml(p, { length: 6 }).replace("<staff>", `<type>${type}</type><staff>`))
        .join("");
    const beams = (text: string): readonly string[] => {
      const { score, part } = read(text);
      return [...excerpt(score, part, 1, 1).matchAll(/<beam number="1">(\w+)</g)].map((m) => m[1]!);
    };
    expect(beams(scoreXml([eighths("eighth")]))).toEqual(["begin", "end", "begin", "end"]);
    expect(beams(scoreXml([eighths("quarter")]))).toEqual([]);
    expect(beams(scoreXml([eighths("eighth").replace("</note>", `<beam number="1">begin</beam></note>`)]))).toEqual([
      "begin",
    ]);
  });
});

describe("a score written bar by bar", () => {
  it("is turned round, and written in its own places", () => {
    const timewise = `<score-timewise version="4.0"><part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list>${[
      "C4",
      "D4",
    ]
      .map(
        (p, i) =>
          `<measure number="${i + 1}"><part id="P1">${i === 0 ? "<attributes><divisions>12</divisions></attributes>" : ""}${noteXml(p, { length: 48 })}</part></measure>`,
      )
      .join("")}</score-timewise>`;
    const { score, part, passage } = read(timewise);
    expect(passage.notes.map((n) => [n.pitch, n.onset, n.bar])).toEqual([
      [60, "0", "1"],
      [62, "4", "2"],
    ]);
    const written = writeFingering(score, part, { fingering: { [passage.notes[1]!.id]: 5 }, handOf: () => "right" });
    expect(written.startsWith("<score-timewise")).toBe(true);
    expect(read(written).passage.notes.map((n) => n.printed)).toEqual([null, 5]);
    expect(excerpt(score, part, 2, 2)).toContain(`<measure number="2"><attributes>`);
  });
});
