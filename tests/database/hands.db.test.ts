import { randomUUID } from "node:crypto";
import { freshDatabase } from "../support/database";
import { bytes, noteXml, scoreXml } from "../support/musicxml";
import type { NoteId } from "@/core/passage/note";
import { studyOf } from "@/core/fingering/study/study-data";
import { bestFingerings, notesAsked } from "@/core/fingering/study/study";
import type { Db } from "@/db/client";
import { addFirstFingerings } from "@/db/queries/fingerings";
import { handMeasurement, noteMark, rest } from "@/db/schema";
import { exportOption } from "@/server/export/export";
import { handsData, handsGiven } from "@/server/hands/hands";
import { addInstrument, NewInstrument, takeUpInstrument } from "@/server/hands/instruments";
import { keepMeasurement, MeasurementAsked } from "@/server/hands/measuring";
import { addPassage, passageData } from "@/server/passages/passages";
import { importPiece } from "@/server/pieces/pieces";
import { chooseRemedies, RemediesAsked } from "@/server/options/remedies";
import { reworkOptions } from "@/server/options/rework";
import { endRest, RestAsked, startRest } from "@/server/hands/rests";
import { surveyData } from "@/server/pieces/survey";
import { somePlayer } from "../support/some-player";

let db: Db;
let drop: () => Promise<void>;
let pianistId: string;
beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  pianistId = (await somePlayer(db)).id;
});
afterAll(() => drop());

const measured = (more: object = {}) =>
  MeasurementAsked.parse({
    id: randomUUID(),
    playerId: pianistId,
    side: "right",
    measuredOn: "2026-10-01",
    way: "typed",
    rulerSpan: 195,
    ...more,
  });

describe("measurements", () => {
  it("are kept with their date and way, once each, and the newest counts", async () => {
    const first = measured();
    await keepMeasurement(db, first);
    await keepMeasurement(db, first);
    await keepMeasurement(db, measured({ measuredOn: "2026-11-01", way: "midi", pairs: { "1-5": { widest: 181 } } }));
    const { measurements } = await handsData(db, pianistId);
    expect(measurements.right.map((m) => [m.measuredOn, m.way])).toEqual([
      ["2026-11-01", "midi"],
      ["2026-10-01", "typed"],
    ]);
    expect((await handsGiven(db, pianistId)).right.measured.pairs).toEqual({ "1-5": { widest: 181 } });
  });

  it.each([
    [{ rulerSpan: 420 }, "outside what a hand can be"],
    [{ pairs: { "2-5": { comfortable: 120, widest: 100 } } }, "cannot open more with comfort"],
    [{ rulerSpan: undefined }, "at least one opening"],
    [{ measuredOn: "2999-01-01" }, "cannot lie ahead"],
  ])("that no hand can have are refused in a sentence: %p", async (more, words) => {
    expect(await keepMeasurement(db, measured(more))).toMatchObject({
      ok: false,
      message: expect.stringContaining(words),
    });
  });

  const hand = { side: "right", measuredOn: "2026-10-01" } as const;
  it.each([
    ["a span no hand has", { ...hand, rulerSpan: 500 }],
    ["nothing at all", hand],
    ["comfort beyond the widest", { ...hand, pairs: { "1-5": { comfortable: 170, widest: 160 } } }],
    ["an opening of half a metre", { ...hand, pairs: { "1-5": { widest: 500 } } }],
    ["a word for a figure", { ...hand, pairs: { "1-5": { widest: "wide" } } as never }],
    ["a tip as broad as two", { ...hand, rulerSpan: 190, tipWidths: { 2: 40 } }],
  ])("are constrained by the database itself: %s", async (_name, values) => {
    await expect(db.insert(handMeasurement).values({ pianistId, ...values })).rejects.toThrow();
  });
});

describe("resting", () => {
  const asked = (more: object = {}) =>
    RestAsked.parse({
      id: randomUUID(),
      playerId: pianistId,
      side: "right",
      fingers: [4],
      reason: "a cut",
      reviewOn: "2999-01-01",
      ...more,
    });

  it("is honoured by every answer until it ends, and ending it can be taken back", async () => {
    const one = asked();
    await startRest(db, one);
    expect((await handsGiven(db, pianistId)).right.resting).toEqual([4]);
    await endRest(db, { request: randomUUID(), id: one.id, ended: true });
    expect((await handsGiven(db, pianistId)).right.resting).toEqual([]);
    await endRest(db, { request: randomUUID(), id: one.id, ended: false });
    expect((await handsGiven(db, pianistId)).right.resting).toEqual([4]);
    await endRest(db, { request: randomUUID(), id: one.id, ended: true });
  });

  it("asks for fingers, a reason and a day ahead", async () => {
    expect(RestAsked.safeParse({ ...asked(), fingers: [] }).success).toBe(false);
    expect(RestAsked.safeParse({ ...asked(), reason: " " }).success).toBe(false);
    expect(await startRest(db, asked({ reviewOn: "2001-01-01" }))).toMatchObject({ ok: false });
    const row = { pianistId, side: "right", reason: "x", since: "2026-01-02", reviewOn: "2026-01-03" } as const;
    await expect(db.insert(rest).values({ ...row, fingers: [] })).rejects.toThrow();
    await expect(db.insert(rest).values({ ...row, fingers: [6 as 5] })).rejects.toThrow();
    await expect(db.insert(rest).values({ ...row, fingers: [2], reviewOn: "2026-01-01" })).rejects.toThrow();
  });
});

describe("instruments", () => {
  it("the one taken up last is in use", async () => {
    await addInstrument(db, { id: randomUUID(), playerId: pianistId, name: "Narrow one", octaveWidth: 152 });
    const all = await addInstrument(db, { id: randomUUID(), playerId: pianistId, name: "Hall", octaveWidth: 164.5 });
    if (!all.ok) throw new Error(all.message);
    expect(all.value[0]!.name).toBe("Hall");
    const narrow = all.value.find((i) => i.name === "Narrow one")!;
    await takeUpInstrument(db, { request: randomUUID(), id: narrow.id! });
    expect((await handsData(db, pianistId)).instruments[0]!.name).toBe("Narrow one");
    await takeUpInstrument(db, { request: randomUUID(), id: all.value[0]!.id! });
    expect(NewInstrument.safeParse({ name: "Toy", octaveWidth: 90 }).success).toBe(false);
  });
});

describe("remedies chosen", () => {
  const LOW = "b1-s1-v1-n1" as NoteId;
  const TOP = "b1-s1-v1-n4" as NoteId;
  let passageId: string;

  /** A chord that no hand of this size holds, then a run. */
  beforeAll(async () => {
    const chord = ["A3", "E4", "A4", "E5"].map((p, i) => noteXml(p, { chord: i > 0 })).join("");
    const run = ["C5", "D5", "E5"].map((p) => noteXml(p)).join("");
    const made = await importPiece(db, pianistId, { name: "gate.musicxml", bytes: bytes(scoreXml([chord + run])) });
    if (!made.ok) throw new Error(made.message);
    const added = await addPassage(db, {
      pieceId: made.value.pieceId,
      title: "Gate",
      fromBar: 1,
      toBar: 1,
      hands: "right",
      tempo: 60,
      touch: "legato",
      pedal: true,
    });
    if (!added.ok) throw new Error(added.message);
    passageId = added.value.passageId;
    const study = studyOf((await passageData(db, passageId))!.study);
    const [digits] = bestFingerings(study, {}, 1);
    await addFirstFingerings(db, passageId, [
      { name: "A", origin: "solved", leaning: "balanced", digits: digits!, pins: {} },
    ]);
  });

  const data = async () => (await passageData(db, passageId))!;
  const rolled = (place: number) => ({ kind: "roll", place, stepMs: 60, caught: true }) as const;

  it("change what is played, and work the options out anew around their own digits", async () => {
    const before = (await data()).options[0]!;
    expect(Object.values(before.digits)).toContain(null);
    const ids = notesAsked(studyOf((await data()).study)).filter((id) => /n[1-4]$/.test(id));
    const notes = Object.fromEntries(ids.map((id, i) => [id, rolled(i)]));
    const kept = await chooseRemedies(db, { id: randomUUID(), passageId, notes });
    if (!kept.ok) throw new Error(kept.message);
    const after = kept.value.options[0]!;
    expect(Object.values(after.digits)).not.toContain(null);
    expect(after.version).toBeGreaterThan(before.version);
    for (const id of ["b1-s1-v1-n5", "b1-s1-v1-n6", "b1-s1-v1-n7"] as NoteId[])
      expect(after.digits[id]).toBe(before.digits[id]);
    const file = new TextDecoder().decode((await exportOption(db, after.id))!.bytes);
    expect(file.match(/<arpeggiate direction="up"\/>/g)).toHaveLength(4);
  });

  it("give way to others, and can be lifted", async () => {
    const all = Object.keys((await data()).study.passage.remedies!);
    const lifted = Object.fromEntries(all.map((id) => [id, null]));
    await chooseRemedies(db, { id: randomUUID(), passageId, notes: { ...lifted, [LOW]: { kind: "omit" } } });
    expect((await data()).study.passage.remedies).toEqual({ [LOW]: { kind: "omit" } });
    const [option] = (await data()).options;
    expect(new TextDecoder().decode((await exportOption(db, option!.id))!.bytes)).toContain('parentheses="yes"');
    await chooseRemedies(db, { id: randomUUID(), passageId, notes: { [LOW]: null } });
    expect((await data()).study.passage.remedies).toEqual({});
  });

  it("finger the other hand only for as long as it takes a note over", async () => {
    const right = ["A3", "E4", "A4", "E5"].map((p, i) => noteXml(p, { chord: i > 0, length: 24 })).join("");
    const left = "<backup><duration>24</duration></backup>" + noteXml("A2", { staff: 2, voice: 5, length: 24 });
    const text = scoreXml([right + left], { staves: 2 });
    const made = await importPiece(db, pianistId, { name: "two.musicxml", bytes: bytes(text) });
    if (!made.ok) throw new Error(made.message);
    const asked = {
      title: "Two",
      fromBar: 1,
      toBar: 1,
      hands: "right",
      tempo: 60,
      touch: "legato",
      pedal: true,
    } as const;
    const added = await addPassage(db, { ...asked, pieceId: made.value.pieceId });
    if (!added.ok) throw new Error(added.message);
    const two = added.value.passageId;
    const [digits] = bestFingerings(studyOf((await passageData(db, two))!.study), {}, 1);
    await addFirstFingerings(db, two, [
      { name: "A", origin: "solved", leaning: "balanced", digits: digits!, pins: {} },
    ]);
    const LEFT = "b1-s2-v5-n1" as NoteId;
    const taken = await chooseRemedies(db, {
      id: randomUUID(),
      passageId: two,
      notes: { [LOW]: { kind: "other-hand", hand: "left" } },
    });
    if (!taken.ok) throw new Error(taken.message);
    expect(taken.value.options[0]!.digits).toMatchObject({ [LEFT]: 5, [LOW]: 1 });
    const file = new TextDecoder().decode((await exportOption(db, taken.value.options[0]!.id))!.bytes);
    expect(file.match(/<staff>2<\/staff>/g)).toHaveLength(2);
    const lifted = await chooseRemedies(db, { id: randomUUID(), passageId: two, notes: { [LOW]: null } });
    if (!lifted.ok) throw new Error(lifted.message);
    expect(Object.keys(lifted.value.options[0]!.digits)).not.toContain(LEFT);
  });

  it("worked out anew, leave the digits of a resting hand and of unchanged notes as they were", async () => {
    const before = (await data()).options[0]!;
    const all = {
      id: randomUUID(),
      playerId: pianistId,
      side: "right",
      fingers: [1, 2, 3, 4, 5],
      reason: "x",
      reviewOn: "2999-01-01",
    };
    const { id } = all;
    await startRest(db, RestAsked.parse(all));
    const waiting = await reworkOptions(db, { passageId });
    await endRest(db, { request: randomUUID(), id, ended: true });
    expect(waiting.ok && waiting.value[0]!.digits).toEqual(before.digits);
    const resting = { ...all, id: randomUUID(), fingers: [before.digits["b1-s1-v1-n5" as NoteId]!] };
    await startRest(db, RestAsked.parse(resting));
    const anew = await reworkOptions(db, { passageId });
    await endRest(db, { request: randomUUID(), id: resting.id, ended: true });
    expect(anew.ok && Object.values(anew.value[0]!.digits)).not.toContain(resting.fingers[0]);
  });

  it("are refused for notes that are not there, and in shapes that make no sense", async () => {
    const stranger = { id: randomUUID(), passageId, notes: { ["b9-s1-v1-n1" as NoteId]: { kind: "omit" as const } } };
    expect(await chooseRemedies(db, stranger)).toMatchObject({
      ok: false,
      message: expect.stringContaining("b9-s1-v1-n1"),
    });
    for (const remedy of [{ kind: "shout" }, { kind: "fold", octaves: 3 }, { kind: "roll", place: 1 }])
      expect(RemediesAsked.safeParse({ id: randomUUID(), passageId, notes: { [TOP]: remedy } }).success).toBe(false);
    await expect(
      db.insert(noteMark).values({ passageId, noteId: TOP, kind: "remedy", remedy: { kind: "shout" } as never }),
    ).rejects.toThrow();
    await expect(db.insert(noteMark).values({ passageId, noteId: TOP, kind: "remedy" })).rejects.toThrow();
  });

  it("the survey of a piece takes the player's hands, keyboard and allowances", async () => {
    const { piece } = await data();
    const answer = await surveyData(db, { pieceId: piece.id });
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.value.bars).toEqual([{ number: "1", start: "0" }]);
    expect(answer.value.study.passage.notes).toHaveLength(7);
  });
});
