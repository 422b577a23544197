import { bestFingerings } from "@/core/fingering/study/study";
import { keyOf } from "@/core/entry/spelling";
import { namesOf } from "@/core/entry/entry";
import { drillsOf } from "@/core/practice/drills";
import { written } from "@/core/practice/music";
import { sourcesOf } from "@/core/practice/source";
import { pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import { readScore } from "@/formats/musicxml/reading/open";
import { writeEntry } from "@/formats/musicxml/writing/write-entry";
import { seeded } from "./support/seeded";
import { studyOfKeys } from "./support/studies";

test("every drill of made-up lines is written as a score that reads back as it was, note by note, with its fingers' notes", () => {
  const random = seeded(11);
  for (let i = 0; i < 6; i++) {
    const keys = Array.from({ length: 6 + 3 * i }, () => {
      const low = random.whole(55, 70);
      return i < 4 ? random.whole(55, 80) : [low, low + 4, low + 7];
    });
    const study = studyOfKeys(keys, i % 2 === 0 ? "right" : "left");
    const [best] = bestFingerings(study, {}, 1);
    for (const drill of drillsOf(sourcesOf(study, best!)[0]!)) {
      const { entry, digits } = written(drill.music, drill.name, -2);
      const read = readScore(new TextEncoder().encode(writeEntry(entry)));
      if (!read.ok) throw new Error(`${drill.id}: ${read.issues[0]!.message}`);
      expect(read.issues).toEqual([]);
      const { notes } = passageFrom(pianoPart(read.value), 1, entry.bars.length, "both");
      const there = new Map(
        notes.flatMap(({ id, tied, pitch }) => [id, ...tied].map((name) => [name, pitch as number])),
      );
      const names = namesOf(entry);
      const asked = entry.bars.flatMap((bar) =>
        bar.flatMap((voice) =>
          voice.flatMap(({ id, pitches }) => names.get(id)!.map((name, k) => [name, keyOf(pitches[k]!)] as const)),
        ),
      );
      expect(new Map(asked)).toEqual(there);
      for (const note of Object.keys(digits)) expect(there.has(note as never)).toBe(true);
    }
  }
});
