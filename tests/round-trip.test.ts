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
import { bytes, noteXml, scoreXml } from "./support/musicxml";
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
