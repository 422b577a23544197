import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import type { Db } from "@/db/client";
import { studyOf } from "@/core/fingering/study/study-data";
import { limitOf } from "@/core/trials/day-limit";
import { expectedOf } from "@/core/trials/expected";
import { snipOf } from "@/core/trials/snip";
import { playSimulated } from "@/core/trials/simulated/simulated-piano";
import { passageData } from "@/server/passages/passages";
import { EditAsked, editOption } from "@/server/options/options";
import { HaltAsked, liftHalt, startHalt } from "@/server/players/halt";
import { giveUpOwn, TakeUpAsked, takeUpOwn } from "@/server/hands/own-figures";
import { proposeOwn } from "@/server/trials/own-proposal";
import { CleanRuleAsked, keepCleanRule } from "@/server/trials/clean-rule";
import { GoneAsked, takeOrBring } from "@/server/belongings/belongings";
import { DayAsked, DayLimitAsked, dayPlayed, keepDayLimit } from "@/server/trials/day-played";
import { filmFile, FilmMarksAsked, filmsData, keepFilm, markFilm } from "@/server/trials/films";
import { pieceMap } from "@/server/trials/piece-map";
import { FeltAsked, keepFelt } from "@/server/trials/felt";
import { addTake, TakeAsked, takesData, wholeTake } from "@/server/trials/takes";
import type { PassageData } from "@/server/types";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";

let db: Db;
let drop: () => Promise<void>;
let passageId: string;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  passageId = await keptPassage(db, scoreXml([["C4", "D4", "E4", "F4"].map((p) => noteXml(p)).join("")]));
});
afterAll(() => drop());

function asked({ study, options }: PassageData, seed: number, faults = 0) {
  const [option] = options;
  const { take } = playSimulated(studyOf(study), option!.digits, { seed, faults, tempo: 90 });
  return {
    id: randomUUID(),
    passageId,
    fingeringId: option!.id,
    version: option!.version,
    source: take.source,
    tempo: take.tempo,
    click: take.click,
    keys: take.keys.map(({ key, downMs, upMs, velocity }) => [key, downMs, upMs, velocity]),
    pedal: [[0, 90]],
    snip: null,
  };
}

describe("takes", () => {
  it("are kept once however often they are sent, with what they came to, and come back as they were", async () => {
    const given = asked((await passageData(db, passageId))!, 3);
    const take = TakeAsked.parse(given);
    for (let i = 0; i < 2; i++) expect(await addTake(db, take)).toMatchObject({ ok: true });
    const [listed, ...more] = await takesData(db, passageId);
    expect(more).toEqual([]);
    expect(listed).toMatchObject({ id: take.id, source: "simulated piano", version: 1, faults: 0, astray: {} });
    expect(listed).not.toHaveProperty("keys");
    expect(listed!.tempoReached).toBeGreaterThan(80);
    const whole = await wholeTake(db, { id: take.id });
    expect(whole.ok && whole.value.take.keys.map((k) => [k.key, k.downMs, k.upMs, k.velocity])).toEqual(given.keys);
    expect(whole.ok && whole.value.take.pedal).toEqual([{ ms: 0, value: 90 }]);
  });

  it("name the version of the fingering they were played on, whatever becomes of it", async () => {
    const before = (await passageData(db, passageId))!;
    const take = TakeAsked.parse(asked(before, 5, 40));
    await addTake(db, take);
    const [option] = before.options;
    const [note] = Object.keys(option!.digits);
    const digits = { ...option!.digits, [note!]: 3 };
    const edited = await editOption(
      db,
      EditAsked.parse({
        id: randomUUID(),
        fingeringId: option!.id,
        onVersion: option!.version,
        kind: "pin",
        noteId: note,
        finger: 3,
        digits,
        pins: { [note!]: 3 },
        ruledOut: {},
      }),
    );
    expect(edited.ok).toBe(true);
    const whole = await wholeTake(db, { id: take.id });
    expect(whole.ok && whole.value.digits).toEqual(option!.digits);
    expect((await takesData(db, passageId))[0]).toMatchObject({ id: take.id, version: option!.version });
  });

  it("keep what was felt in them, the newest word counting, and lose it with nothing else", async () => {
    const [newest] = await takesData(db, passageId);
    const said = {
      takeId: newest!.id,
      places: [{ place: "wrist", side: "left" }],
      bars: null,
      loose: false,
      easy: true,
      next: "stop",
    };
    for (const amount of [3, 7]) await keepFelt(db, FeltAsked.parse({ ...said, amount }));
    expect((await takesData(db, passageId))[0]).toMatchObject({
      id: newest!.id,
      felt: { amount: 7, bars: null, easy: true },
    });
    expect(FeltAsked.safeParse({ ...said, amount: 11 }).success).toBe(false);
    expect(await keepFelt(db, FeltAsked.parse({ ...said, amount: 1, takeId: randomUUID() }))).toMatchObject({
      ok: false,
    });
  });

  it("are clean by what the player calls clean, those from before too, and by the usual rule again", async () => {
    const { player } = (await passageData(db, passageId))!;
    const clean = async () => (await takesData(db, passageId)).map((take) => take.clean);
    const before = await clean();
    expect(before).toContain(true);
    const rule = { faults: 0, evenness: 5, latest: 10, tempo: 1, runs: 1 };
    await keepCleanRule(db, CleanRuleAsked.parse({ playerId: player.id, rule }));
    expect(await clean()).toEqual(before.map(() => false));
    expect((await passageData(db, passageId))!.cleanRule).toEqual(rule);
    await keepCleanRule(db, CleanRuleAsked.parse({ playerId: player.id, rule: null }));
    expect(await clean()).toEqual(before);
    expect(CleanRuleAsked.safeParse({ playerId: player.id, rule: { ...rule, tempo: 3 } }).success).toBe(false);
  });

  it("of a snip are read against its own notes alone", async () => {
    const data = (await passageData(db, passageId))!;
    const study = studyOf(data.study);
    const snip = snipOf(expectedOf(study), { from: 1, to: 2 });
    const { take } = playSimulated(study, data.options[0]!.digits, { seed: 2, faults: 0, tempo: 90, snip });
    const keys = take.keys.map(({ key, downMs, upMs, velocity }) => [key, downMs, upMs, velocity]);
    expect(keys).toHaveLength(2);
    await addTake(db, TakeAsked.parse({ ...asked(data, 4), id: randomUUID(), keys, snip }));
    expect((await takesData(db, passageId))[0]).toMatchObject({ snip, faults: 0 });
  });

  it("propose the player's own figures from twenty on, which are taken up and given up again", async () => {
    const data = (await passageData(db, passageId))!;
    const playerId = data.player.id;
    const few = await proposeOwn(db, { playerId });
    expect(few).toMatchObject({ ok: true, value: { causes: [], movement: null } });
    for (let i = 0; i < 22; i++) {
      const take = { ...asked(data, 100 + i, 30), id: randomUUID(), source: "midi piano" };
      await addTake(db, TakeAsked.parse(take));
    }
    const many = await proposeOwn(db, { playerId });
    expect(many.ok && many.value.takes).toBeGreaterThanOrEqual(22);
    const option = async () => (await passageData(db, passageId))!;
    expect((await option()).study.own).toBeUndefined();
    const up = { playerId, takes: 22, causes: { "thumb-pass": 1.25 }, movement: 0.8 };
    for (const id of [randomUUID()].flatMap((one) => [one, one])) await takeUpOwn(db, TakeUpAsked.parse({ ...up, id }));
    expect((await option()).study.own).toEqual({ causes: { "thumb-pass": 1.25 }, movement: 0.8 });
    await giveUpOwn(db, { playerId });
    expect((await option()).study.own).toBeUndefined();
    expect(TakeUpAsked.safeParse({ ...up, id: randomUUID(), movement: 9 }).success).toBe(false);
  });

  it("lie over the bars of their piece, those of the simulated piano left out", async () => {
    const { piece, bars } = (await passageData(db, passageId))!;
    const map = await pieceMap(db, { pieceId: piece.id });
    expect(map.ok && map.value.passages).toMatchObject([{ id: passageId }]);
    expect(map.ok && map.value.bars.find(({ bar }) => bar === bars.from)).toMatchObject({ passages: [0] });
    expect(await pieceMap(db, { pieceId: randomUUID() })).toMatchObject({ ok: false });
  });

  it("have films beside them, kept as they came with what is marked, until they are taken away", async () => {
    const bytes = new Uint8Array([1, 2, 3]);
    const file = { name: "from above.webm", type: "video/webm", bytes };
    const kept = await keepFilm(db, passageId, file);
    const id = kept.ok ? kept.value.id : "";
    const marks = { keys: null, hands: [], seen: [{ fault: "thumb-late", bar: "1" }] };
    expect(await markFilm(db, FilmMarksAsked.parse({ id, marks }))).toMatchObject({ ok: true });
    expect(await filmsData(db, passageId)).toEqual([{ id, name: file.name, type: file.type, marks }]);
    expect((await filmFile(db, id))!.bytes).toEqual(bytes);
    expect(await keepFilm(db, passageId, { ...file, type: "text/html" })).toMatchObject({ ok: false });
    expect(await keepFilm(db, randomUUID(), file)).toMatchObject({ ok: false });
    expect(FilmMarksAsked.safeParse({ id, marks: { ...marks, seen: [{ fault: "ill", bar: "1" }] } }).success).toBe(
      false,
    );
    const gone = { request: randomUUID(), kind: "film", id, gone: true };
    expect(await takeOrBring(db, GoneAsked.parse(gone))).toMatchObject({ ok: true });
    expect(await filmsData(db, passageId)).toEqual([]);
  });

  it("fill a day up to the player's own limit, which stopping lowers and nothing raises", async () => {
    const { player } = (await passageData(db, passageId))!;
    const since = new Date(Date.now() - 3_600_000).toISOString();
    const day = async () => {
      const found = await dayPlayed(db, DayAsked.parse({ playerId: player.id, since }));
      return found.ok ? found.value : null;
    };
    expect(await day()).toMatchObject({ own: null, stoppedAt: null });
    expect((await day())!.played).toBeGreaterThan(0);
    await keepDayLimit(db, DayLimitAsked.parse({ playerId: player.id, minutes: 40 }));
    const id = randomUUID();
    await startHalt(db, HaltAsked.parse({ id, playerId: player.id, sign: "swelling" }));
    await liftHalt(db, { playerId: player.id });
    const stopped = (await day())!;
    expect(stopped).toMatchObject({ own: 40 });
    expect(limitOf(stopped)).toBe(20);
    expect(DayLimitAsked.safeParse({ playerId: player.id, minutes: 0 }).success).toBe(false);
  });

  it("end at a sign of harm, until the player lifts it", async () => {
    const { player } = (await passageData(db, passageId))!;
    const asked = { id: randomUUID(), playerId: player.id, sign: "pain" } as const;
    for (let i = 0; i < 2; i++) await startHalt(db, HaltAsked.parse(asked));
    expect((await passageData(db, passageId))!.halt).toMatchObject({ sign: "pain" });
    await liftHalt(db, { playerId: player.id });
    expect((await passageData(db, passageId))!.halt).toBeNull();
    expect(await startHalt(db, HaltAsked.parse({ ...asked, id: randomUUID(), playerId: randomUUID() }))).toMatchObject({
      ok: false,
    });
  });

  it("are refused for another passage's option, without keys, and off the keyboard", async () => {
    const data = (await passageData(db, passageId))!;
    const good = asked(data, 9);
    expect(await addTake(db, TakeAsked.parse({ ...good, id: randomUUID(), fingeringId: randomUUID() }))).toMatchObject({
      ok: false,
    });
    for (const bad of [
      { keys: [] },
      { keys: [[12, 0, 1, 64]] },
      { keys: [[60, 0, 1, 0]] },
      { tempo: 0 },
      { pedal: [[0, 200]] },
    ])
      expect(TakeAsked.safeParse({ ...good, ...bad }).success).toBe(false);
    await expect(db.execute(sql`update take set tempo = 0 where passage_id = ${passageId}`)).rejects.toThrow();
  });
});
