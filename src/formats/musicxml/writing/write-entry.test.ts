import fc from "fast-check";
import { put, toggleTie } from "@/core/entry/changes";
import { EMPTY_BAR, namesOf, VOICES, type EntryChanged, type Entry } from "@/core/entry/entry";
import { beatsOf, type Length } from "@/core/entry/length";
import { keyOf } from "@/core/entry/spelling";
import { readScore } from "../reading/open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import { tempoFound } from "../reading/tempo-found";
import { writeEntry } from "./write-entry";

const length = (base: Length["base"], tuplet: Length["tuplet"] = null): Length => ({ base, dotted: false, tuplet });
const LENGTHS = [
  length(2),
  length(4),
  length(8),
  length(16),
  { ...length(4), dotted: true },
  length(8, [3, 2]),
  length(16, [5, 4]),
];

function entered(steps: readonly { voice: 0 | 1 | 2 | 3; keys: readonly number[]; length: Length }[]): Entry {
  const entry: Entry = { title: "Entered & kept", fifths: -2, time: [3, 4], tempo: 72, bars: [EMPTY_BAR] };
  let now: EntryChanged = { entry, cursor: { bar: 0, voice: 0, at: 0 }, complaint: null };
  const places = VOICES.map((voice) => ({ bar: 0, voice, at: 0 }));
  let names = 0;
  for (const { voice, keys, length: each } of steps) {
    now = put(now.entry, places[voice]!, keys, each, () => `i${names++}`);
    places[voice] = now.cursor as (typeof places)[number];
  }
  return now.entry;
}

function read(entry: Entry) {
  const found = readScore(new TextEncoder().encode(writeEntry(entry)));
  if (!found.ok) throw new Error(found.issues[0]!.message);
  return { score: found.value, issues: found.issues, part: pianoPart(found.value) };
}

describe("an entered passage as a score", () => {
  const step = fc.record({
    voice: fc.constantFrom(...VOICES),
    keys: fc.uniqueArray(fc.integer({ min: 30, max: 90 }), { maxLength: 4 }),
    length: fc.constantFrom(...LENGTHS),
  });

  it("is read back note for note, without a remark, under the names that namesOf foretells", () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
        const entry = entered([{ voice: 0, keys: [60], length: LENGTHS[1]! }, ...steps]);
        const { part, issues } = read(entry);
        expect(issues).toEqual([]);
        const heads = new Map(part.bars.flatMap((bar) => bar.heads).map((head) => [head.id, head]));
        const names = namesOf(entry);
        let count = 0;
        for (const items of entry.bars.flat())
          for (const { id, pitches, length: each } of items)
            pitches.forEach((pitch, i) => {
              count++;
              expect(heads.get(names.get(id)![i]!)).toMatchObject({ pitch: keyOf(pitch), duration: beatsOf(each) });
            });
        expect(heads.size).toBe(count);
      }),
      { numRuns: 80 },
    );
  });

  it("joins ties, marks tuplets, and keeps title, key, time and tempo", () => {
    const triplet = length(8, [3, 2]);
    const entry = entered([
      { voice: 0, keys: [70], length: length(2) },
      { voice: 0, keys: [72], length: length(2) },
      ...[74, 75, 77].map((key) => ({ voice: 0 as const, keys: [key], length: triplet })),
      { voice: 2, keys: [46, 53], length: { ...length(2), dotted: true } },
    ]);
    const { score, part } = read(entry);
    expect(score.title).toBe("Entered & kept");
    expect(tempoFound(score, part, 1).tempo).toBe(72);
    const notes = passageFrom(part, 1, 2, "both").notes;
    expect(notes.find((n) => n.pitch === 72)).toMatchObject({ duration: "2", tied: ["b2-s1-v1-n1"] });
    const xml = writeEntry(entry);
    expect(xml.match(/<tuplet type="start"\/>/g)).toHaveLength(1);
    expect(xml.match(/<tuplet type="stop"\/>/g)).toHaveLength(1);
    const untied = toggleTie(entry, { bar: 0, voice: 0, at: 2 }).entry;
    expect(passageFrom(read(untied).part, 1, 2, "both").notes.filter((n) => n.pitch === 72)).toHaveLength(2);
  });
});
