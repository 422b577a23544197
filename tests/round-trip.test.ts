import { bestFingerings, notesAsked } from "@/core/fingering/study/study";
import type { Fingering } from "@/core/fingering/study/fingering";
import { handOf, type Passage } from "@/core/passage/passage";
import { compose } from "@/demo/compose";
import { DEMO_PIECES } from "@/demo/scenario";
import { readScore } from "@/formats/musicxml/reading/open";
import { passageFrom } from "@/formats/musicxml/passage";
import { pianoPart } from "@/formats/musicxml/parts";
import type { Part, Score } from "@/formats/musicxml/score";
import { writeFingering } from "@/formats/musicxml/writing/write-fingering";
import { qualityCases, TUNED_ON } from "../quality/cases";
import type { SignPlaced } from "@/core/motion/marks/signs";
import { writeScore } from "@/formats/musicxml/writing/write-score";
import { madeMusic } from "./support/made-music";
import { bytes, noteXml, scoreXml } from "./support/musicxml";
import { seeded } from "./support/seeded";
import { studyOn } from "./support/studies";

const SHARPS = ["C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"];

function opened(text: string): { score: Score; part: Part } {
  const read = readScore(bytes(text));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return { score: read.value, part: pianoPart(read.value) };
}

/** Writes a fingering, reads it back, and takes it out again: the first must be the same, the last the file. */
function roundTrip(text: string, passage: Passage, fingering: Fingering): void {
  const { score, part } = opened(text);
  const hands = new Map(passage.notes.map((n) => [n.id, handOf(n, passage)]));
  const written = writeFingering(score, part, { fingering, handOf: (id) => hands.get(id)! });
  const again = passageFrom(opened(written).part, 1, part.bars.length, passage.hands);
  for (const note of again.notes) if (note.id in fingering) expect(note.printed).toBe(fingering[note.id]);
  expect(again.notes.map((n) => [n.id, n.onset, n.duration, n.pitch])).toEqual(
    passage.notes.map((n) => [n.id, n.onset, n.duration, n.pitch]),
  );
}

/** The text without what a fingering puts into it. */
function bare(text: string): string {
  return text
    .replace(/<fingering[^>]*>[1-5]<\/fingering>/g, "")
    .replace(/<technical><\/technical>/g, "")
    .replace(/<notations><\/notations>/g, "");
}

describe("made-up scores", () => {
  it("leave as they came but for digits: every other character stands, every digit is on its note", () => {
    let [digits, files] = [0, 0];
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed);
      const text = writeScore(madeMusic(random, 8));
      const { score, part } = opened(text);
      const passage = passageFrom(part, 1, part.bars.length, "both");
      const fingering = Object.fromEntries(passage.notes.map(({ id }) => [id, random.whole(1, 5)])) as Fingering;
      roundTrip(text, passage, fingering);
      const hands = new Map(passage.notes.map((n) => [n.id, handOf(n, passage)]));
      const written = writeFingering(score, part, { fingering, handOf: (id) => hands.get(id)! });
      expect(bare(written)).toBe(bare(text));
      expect(written.match(/<fingering/g)).toHaveLength(passage.notes.length);
      digits += passage.notes.length;
      files++;
    }
    process.stdout.write(`${files} made-up scores unchanged but for digits, ${digits} digits on their notes\n`);
  });

  it("leave with signs as directions that change no note, numbered so that no bracket crosses another's", () => {
    for (let seed = 1; seed <= 30; seed++) {
      const random = seeded(seed);
      const { score, part } = opened(writeScore(madeMusic(random, 6)));
      const passage = passageFrom(part, 1, part.bars.length, "both");
      const { notes } = passage;
      const signs = Array.from({ length: 12 }, (_, i): SignPlaced => {
        const at = random.whole(0, notes.length - 2);
        const to = random.chance(0.6) ? notes[random.whole(at + 1, Math.min(notes.length - 1, at + 9))]!.id : null;
        const place = { note: notes[at]!.id, to, above: random.chance(0.5), side: "right" as const, own: true };
        return { ...place, key: String(i), sign: to === null ? "words" : "group", words: "lean" };
      });
      const written = writeFingering(score, part, { fingering: {}, handOf: () => "right", signs });
      const again = opened(written).part;
      expect(passageFrom(again, 1, again.bars.length, "both").notes.map((n) => [n.id, n.onset, n.duration])).toEqual(
        notes.map((n) => [n.id, n.onset, n.duration]),
      );
      const open = new Set<string>();
      for (const [, type, number] of written.matchAll(/<bracket type="(start|stop)" number="(\d+)"/g)) {
        expect(open.has(number!)).toBe(type === "stop");
        if (type === "start") open.add(number!);
        else open.delete(number!);
      }
      expect(open.size).toBe(0);
    }
  });
});

describe("written and read back", () => {
  it.each(TUNED_ON)("every standard fingering of %s", (table) => {
    const cases = qualityCases(table);
    expect(cases.length).toBeGreaterThanOrEqual(8);
    for (const { keys, side, accepted } of cases) {
      const text = scoreXml([
        keys.map((key) => noteXml(`${SHARPS[key % 12]}${Math.floor(key / 12) - 1}`, { length: 3 })).join(""),
      ]);
      const passage = passageFrom(opened(text).part, 1, 1, side);
      expect(passage.notes.map((n) => n.pitch)).toEqual(keys);
      const fingering = Object.fromEntries(passage.notes.map((n, i) => [n.id, accepted[0]![i]!])) as Fingering;
      roundTrip(text, passage, fingering);
    }
  });

  it.each(DEMO_PIECES.map(({ score }) => [score.title, score] as const))(
    "the engine's fingering of %s",
    (_title, score) => {
      const text = compose(score);
      const { part } = opened(text);
      const study = studyOn(passageFrom(part, 1, part.bars.length, "both"), { tempo: score.tempo }, 191);
      const [best] = bestFingerings(study, {}, 1);
      expect(Object.keys(best!)).toHaveLength(notesAsked(study).length);
      roundTrip(text, study.passage, best!);
    },
  );
});
