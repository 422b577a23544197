import { randomUUID } from "node:crypto";
import { positionsOf } from "@/core/fingering/explain/positions";
import { studyOf } from "@/core/fingering/study/study-data";
import { playSimulated } from "@/core/trials/simulated/simulated-piano";
import { compose } from "@/demo/compose";
import { darkWater } from "@/demo/pieces/dark-water";
import type { Db } from "@/db/client";
import { readHeard } from "@/formats/midi/read-heard";
import { openMidi } from "@/formats/midi/open-midi";
import { passageFrom } from "@/formats/musicxml/passage";
import { readScore } from "@/formats/musicxml/reading/open";
import { exportBeside, exportOption, exportTake } from "@/server/export/export";
import { passageData } from "@/server/passages/passages";
import { addTake, TakeAsked } from "@/server/trials/takes";
import type { PassageData } from "@/server/types";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";

let db: Db;
let drop: () => Promise<void>;
let data: PassageData;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  const passageId = await keptPassage(db, compose(darkWater), { toBar: 2, hands: "both" });
  data = (await passageData(db, passageId))!;
});
afterAll(() => drop());

/** The parts of a file that was written, as they are read again. */
function partsOf(bytes: Uint8Array) {
  const read = readScore(bytes);
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return read.value.parts.map((part) => ({
    name: part.name,
    notes: passageFrom(part, 1, part.bars.length, "both").notes,
  }));
}

const sounding = (notes: readonly { pitch: number; beat: string; duration: string }[]) =>
  notes.map(({ pitch, beat, duration }) => `${pitch} ${beat} ${duration}`);

describe("a passage as a file of its own", () => {
  it("has its bars, notes and digits, and nothing of the rest of the piece", async () => {
    const [option] = data.options;
    const file = (await exportOption(db, option!.id, "all", "own", "passage"))!;
    expect(file.fileName).toMatch(/fingering A\.musicxml$/);
    const [part, ...more] = partsOf(file.bytes);
    expect(more).toEqual([]);
    const { notes } = data.study.passage;
    expect(sounding(part!.notes)).toEqual(sounding(notes));
    expect(part!.notes.map(({ printed }) => printed)).toEqual(notes.map(({ id }) => option!.digits[id] ?? null));
  });

  it("has positions, joins and signs as words where all of them are wanted", async () => {
    const [option] = data.options;
    const wordsIn = (bytes: Uint8Array) =>
      [...new TextDecoder().decode(bytes).matchAll(/<words>([^<]*)<\/words>/g)].map((m) => m[1]!);
    const plain = wordsIn((await exportOption(db, option!.id, "all", "own", "passage"))!.bytes);
    const all = wordsIn((await exportOption(db, option!.id, "all", "all", "passage"))!.bytes);
    const positions = positionsOf(studyOf(data.study), option!.digits);
    const joins = positions.map(({ join }) => join?.kind ?? "position");
    for (const kind of new Set(joins))
      expect(all.filter((one) => one === kind)).toHaveLength(joins.filter((one) => one === kind).length);
    expect(all.length).toBeGreaterThan(plain.length + joins.length);
  });

  it("has its options one under another, each named and with its own digits", async () => {
    const names = data.options.map(({ name }) => name);
    expect(names.length).toBeGreaterThan(1);
    const parts = partsOf((await exportBeside(db, data.id, []))!.bytes);
    expect(parts.map(({ name }) => name)).toEqual(names.map((name) => `Option ${name}`));
    const { notes } = data.study.passage;
    parts.forEach((part, i) => {
      const { digits } = data.options[i]!;
      expect(part.notes.map(({ printed }) => printed)).toEqual(notes.map(({ id }) => digits[id] ?? null));
    });
    expect(partsOf((await exportBeside(db, data.id, ["B"]))!.bytes)).toHaveLength(1);
    expect(await exportBeside(db, data.id, ["Z"])).toBeNull();
    expect(await exportBeside(db, randomUUID(), [])).toBeNull();
  });

  it("is MIDI as it is played: a track a hand, its tempo, its digits as words", async () => {
    const [option] = data.options;
    const { bytes, type, fileName } = (await exportOption(db, option!.id, "all", "all", "midi"))!;
    expect([type, fileName]).toEqual(["audio/midi", expect.stringMatching(/\.mid$/)]);
    const heard = readHeard(bytes);
    if (!heard.ok) throw new Error(heard.issues[0]!.message);
    expect(heard.value.tracks).toEqual(["Right hand", "Left hand"]);
    expect(heard.value.tempo).toBeCloseTo(data.study.manner.tempo, 2);
    expect(heard.value.keys.map(({ key }) => key).sort()).toEqual(
      data.study.passage.notes.map(({ pitch }) => pitch).sort(),
    );
    const opened = openMidi(bytes);
    const words = opened.ok ? opened.value.tracks.flat().flatMap((e) => (e.type === "text" ? [e.text] : [])) : [];
    const digits = Object.values(option!.digits).filter((digit) => digit !== null);
    expect(words.filter((text) => /^[1-5]$/.test(text))).toHaveLength(digits.length);
  });
});

describe("a take as a score", () => {
  it("has what went astray as words at its notes, and the digits that it was played on", async () => {
    const [option] = data.options;
    const { take } = playSimulated(studyOf(data.study), option!.digits, { seed: 5, faults: 30, tempo: 60 });
    const keys = take.keys.map(({ key, downMs, upMs, velocity }) => [key, downMs, upMs, velocity]);
    const id = randomUUID();
    const of = { id, passageId: data.id, fingeringId: option!.id, version: option!.version, snip: null, pedal: [] };
    const kept = await addTake(db, TakeAsked.parse({ ...of, source: take.source, tempo: 60, click: false, keys }));
    const faults = kept.ok ? kept.value.find((one) => one.id === id)!.astray : {};
    const text = new TextDecoder().decode((await exportTake(db, id))!.bytes);
    const words = text.match(/<words>(missed|wrong|beside|twice|added)[^<]*<\/words>/g) ?? [];
    expect(words).toHaveLength(Object.values(faults).reduce((sum, count) => sum + count, 0));
    expect(words.length).toBeGreaterThan(0);
    expect(await exportTake(db, randomUUID())).toBeNull();
  });
});
