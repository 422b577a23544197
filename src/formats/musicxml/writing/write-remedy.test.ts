import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import type { NoteId } from "@/core/passage/note";
import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import { readScore } from "../reading/open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import { writeFingering } from "./write-fingering";

const CHORD = scoreXml([
  noteXml("C4") +
    noteXml("G4", { chord: true }) +
    noteXml("E5", { chord: true, notations: "<notations/>" }) +
    noteXml("D4"),
]);
const [LOW, MIDDLE, HIGH] = ["b1-s1-v1-n1", "b1-s1-v1-n2", "b1-s1-v1-n3"] as const;

function written(remedies: Record<string, NoteRemedy>, fingering: Record<string, 1 | 2 | 3 | 4 | 5> = {}): string {
  const read = readScore(bytes(CHORD));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return writeFingering(read.value, pianoPart(read.value), {
    fingering,
    handOf: () => "right",
    remedies: remedies as NoteRemedies,
  });
}

const rolled = (place: number): NoteRemedy => ({ kind: "roll", place, stepMs: 60, caught: true });

describe("a remedy written into MusicXML", () => {
  it("rolled: puts an arpeggiate mark with its direction on every note of the chord", () => {
    const up = written({ [LOW]: rolled(0), [MIDDLE]: rolled(1), [HIGH]: rolled(2) });
    expect(up.match(/<arpeggiate direction="up"\/>/g)).toHaveLength(3);
    const down = written({ [LOW]: rolled(2), [MIDDLE]: rolled(1), [HIGH]: rolled(0) }, { [LOW]: 1 });
    expect(down.match(/<arpeggiate direction="down"\/>/g)).toHaveLength(3);
    expect(down).toContain(`<notations><technical><fingering placement="above">1</fingering></technical><arpeggiate`);
  });

  it("left out: marks the note and does not delete it", () => {
    const out = written({ [MIDDLE]: { kind: "omit" } });
    expect(out.match(/<notehead parentheses="yes">normal<\/notehead>/g)).toHaveLength(1);
    expect(out).toMatch(
      /<direction placement="above"><direction-type><words>left out<\/words>.*<note[^>]*><pitch><step>C/,
    );
    const read = readScore(bytes(out));
    expect(read.ok && passageFrom(pianoPart(read.value), 1, 1, "right").notes).toHaveLength(4);
  });

  it("folded: stands in its new octave and says so", () => {
    const read = readScore(bytes(written({ [HIGH]: { kind: "fold", octaves: -1 } })));
    if (!read.ok) throw new Error(read.issues[0]!.message);
    const notes = passageFrom(pianoPart(read.value), 1, 1, "right").notes;
    expect(notes.find((n) => n.id === (HIGH as NoteId))!.pitch).toBe(64);
  });

  it("the other hand's: stands in that hand's staff", () => {
    const read = readScore(bytes(scoreXml([noteXml("C4") + noteXml("E5", { chord: true })], { staves: 2 })));
    if (!read.ok) throw new Error(read.issues[0]!.message);
    const out = writeFingering(read.value, pianoPart(read.value), {
      fingering: {},
      handOf: () => "right",
      remedies: { [LOW]: { kind: "other-hand", hand: "left" } } as NoteRemedies,
    });
    expect(out).toContain("<words>left hand</words>");
    const notes = out.replace(/<direction .*?<\/direction>/g, "");
    expect(notes.match(/<staff>2<\/staff>/g)).toHaveLength(1);
    expect(notes.match(/<staff>1<\/staff>/g)).toHaveLength(1);
  });

  it("everything else: is said in words, and nothing besides is touched", () => {
    const out = written({
      [LOW]: { kind: "flat" },
      [MIDDLE]: { kind: "shorter", duration: "1" as never },
      [HIGH]: { kind: "lean" },
    });
    expect(out).toContain("flat fingers");
    expect(out).toContain("let go, pedal");
    const bare = out.replace(/<direction .*?<\/direction>/g, "");
    expect(bare).toBe(CHORD);
  });

  it("said of several notes of a chord: stands once before it, and not between its notes", () => {
    const out = written({ [LOW]: { kind: "flat" }, [MIDDLE]: { kind: "flat" }, [HIGH]: { kind: "omit" } });
    expect(out.match(/<words>flat fingers<\/words>/g)).toHaveLength(1);
    expect(out.match(/<words>left out<\/words>/g)).toHaveLength(1);
    expect(out.indexOf("<direction ", out.indexOf("<chord/>"))).toBe(-1);
    expect(readScore(bytes(out)).ok).toBe(true);
  });
});
