import { randomUUID } from "node:crypto";
import type { Db } from "@/db/client";
import { addFingering, fingeringsOf } from "@/db/queries/fingerings";
import { passageById } from "@/db/queries/passages";
import { pieceById, piecesWithPassages } from "@/db/queries/pieces";
import { keepMeasurement, MeasurementAsked } from "@/server/hands/measuring";
import { handsData, instrumentsData } from "@/server/hands/hands";
import { addInstrument } from "@/server/hands/instruments";
import { goneData, rename, RenameAsked, takeOrBring } from "@/server/belongings/belongings";
import type { BelongingKind } from "@/server/belongings/kinds";
import { keepEntry, entryData } from "@/server/pieces/entries";
import { passageData } from "@/server/passages/passages";
import { addRecital, moveRecital, playAt } from "@/server/recitals";
import { repertoireData } from "@/server/pieces/repertoire";
import { addVerdict } from "@/server/verdicts/verdicts";
import { serverZone } from "@/server/players/day";
import { put } from "@/core/entry/changes";
import { EMPTY_BAR } from "@/core/entry/entry";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";
import { somePlayer } from "../support/some-player";

const QUARTER = { base: 4, dotted: false, tuplet: null } as const;

let db: Db;
let drop: () => Promise<void>;
let player: { readonly id: string; readonly name: string };
let passageId: string;
let pieceId: string;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  player = await somePlayer(db);
  passageId = await keptPassage(db, scoreXml([["C4", "D4", "E4", "F4"].map((p) => noteXml(p)).join("")]));
  pieceId = (await passageById(db, passageId))!.pieceId;
});
afterAll(() => drop());

const set = (kind: BelongingKind, id: string, gone: boolean) =>
  takeOrBring(db, { request: randomUUID(), kind, id, gone });
const call = (kind: BelongingKind, id: string, title: string | null) =>
  rename(db, { request: randomUUID(), kind, id, title });
const repertoire = () => repertoireData(db, player, serverZone());
const away = async () => (await goneData(db, player.id)).map(({ kind, id }) => [kind, id]);

describe("what is a player's own", () => {
  it("a passage is called otherwise, goes, and comes back with its options as they were", async () => {
    await call("passage", passageId, "The stair");
    const before = (await passageData(db, passageId))!;
    expect(before.title).toBe("The stair");
    expect(await set("passage", passageId, true)).toEqual({ ok: true, value: { gone: true } });
    expect(await passageData(db, passageId)).toBeNull();
    expect((await repertoire()).pieces[0]!.passages).toEqual([]);
    expect(await away()).toEqual([["passage", passageId]]);
    await set("passage", passageId, false);
    expect((await passageData(db, passageId))!.options).toEqual(before.options);
    expect((await repertoire()).gone).toBe(0);
  });

  it("a piece takes its passages with it and brings them back", async () => {
    await set("piece", pieceId, true);
    expect((await repertoire()).pieces).toEqual([]);
    expect(await passageData(db, passageId)).toBeNull();
    expect(await away()).toEqual([["piece", pieceId]]);
    await set("piece", pieceId, false);
    expect((await repertoire()).pieces[0]!.passages).toHaveLength(1);
  });

  it("an option keeps its letter while it is away; the last one and the one taken stay", async () => {
    const [first, ...more] = await fingeringsOf(db, passageId);
    for (const { id } of more) await set("option", id, true);
    expect(await set("option", first!.id, true)).toMatchObject({ ok: false, message: /last option/ });
    const own = { origin: "typed", leaning: "balanced", digits: first!.digits, pins: first!.pins } as const;
    const other = randomUUID();
    await addFingering(db, passageId, { ...own, id: other });
    await call("option", other, "As in the hall");
    await addVerdict(db, {
      ...{ id: randomUUID(), passageId, fingeringId: first!.id, kind: "taken", reason: "It lies well." },
      ...{ author: "me", decideOn: null, reviewAfter: null },
    });
    expect(await set("option", first!.id, true)).toMatchObject({ ok: false, message: /option you took/ });
    expect(await set("option", other, true)).toMatchObject({ ok: true });
    expect((await goneData(db, player.id))[0]).toMatchObject({
      title: expect.stringMatching(/^[A-Z], As in the hall$/),
      of: "The stair",
    });
    const third = randomUUID();
    const names = (await addFingering(db, passageId, { ...own, id: third }))!.map(({ name }) => name);
    const letters = (await goneData(db, player.id)).map(({ title }) => title[0]);
    expect(names).toHaveLength(2);
    expect(letters).not.toContain(names[1]);
    await set("option", other, false);
    expect((await fingeringsOf(db, passageId)).find(({ id }) => id === other)!.title).toBe("As in the hall");
  });

  it("a measurement that is away does not count, and counts again when it is back", async () => {
    const measured = (rulerSpan: number, measuredOn: string) =>
      MeasurementAsked.parse({
        ...{ id: randomUUID(), playerId: player.id, side: "right", measuredOn, way: "typed", rulerSpan },
      });
    const [old, newest] = [measured(190, "2026-01-01"), measured(201, "2026-02-01")];
    await keepMeasurement(db, old);
    await keepMeasurement(db, newest);
    const spans = async () =>
      (await handsData(db, player.id)).measurements.right.map(({ measured: { rulerSpan } }) => rulerSpan);
    await set("measurement", newest.id, true);
    expect(await spans()).toEqual([190]);
    expect((await goneData(db, player.id))[0]).toMatchObject({ title: "right hand, 1 Feb 2026", of: null });
    await set("measurement", newest.id, false);
    expect(await spans()).toEqual([201, 190]);
    await call("measurement", newest.id, "after a warm bath");
    await call("measurement", newest.id, null);
    expect((await handsData(db, player.id)).measurements.right[0]!.title).toBeNull();
  });

  it("an instrument that is away is not the one in use", async () => {
    const [wide, narrow] = [randomUUID(), randomUUID()];
    await addInstrument(db, { id: wide, playerId: player.id, name: "Wide", octaveWidth: 165 });
    await addInstrument(db, { id: narrow, playerId: player.id, name: "Narrow", octaveWidth: 152 });
    await set("instrument", narrow, true);
    expect((await instrumentsData(db, player.id)).map(({ name }) => name)).toEqual(["Wide"]);
    await call("instrument", wide, "The old one");
    await set("instrument", narrow, false);
    expect((await instrumentsData(db, player.id)).map(({ name }) => name)).toEqual(["Narrow", "The old one"]);
  });

  it("what is sent twice is done once, and what is not there is said", async () => {
    const asked = { request: randomUUID(), kind: "passage", id: passageId, title: "Once" } as const;
    await rename(db, asked);
    await call("passage", passageId, "Then otherwise");
    await rename(db, asked);
    expect((await passageById(db, passageId))!.title).toBe("Then otherwise");
    expect(await call("recital", randomUUID(), "Nowhere")).toEqual({
      ok: false,
      message: "This recital is not there any more.",
    });
    expect(await set("piece", randomUUID(), true)).toMatchObject({ ok: false });
  });

  it.each(["player", "piece", "passage", "recital", "instrument"] as const)("a %s is never without a name", (kind) => {
    const asked = { request: randomUUID(), kind, id: randomUUID() };
    expect(RenameAsked.safeParse({ ...asked, title: null }).success).toBe(false);
    expect(RenameAsked.safeParse({ ...asked, title: "  " }).success).toBe(false);
    expect(RenameAsked.safeParse({ ...asked, title: "x".repeat(121) }).success).toBe(false);
  });

  it("music that was entered carries its new title in its notes", async () => {
    const cursor = { bar: 0, voice: 0, at: 0 } as const;
    const empty = { title: "Dusk", fifths: 0, time: [4, 4], tempo: 80, bars: [EMPTY_BAR] } as const;
    const { entry } = put(empty, cursor, [60], QUARTER, () => "i0");
    const id = randomUUID();
    await keepEntry(db, { pieceId: id, playerId: player.id, entry, seen: null });
    await call("piece", id, "Dawn");
    const found = (await entryData(db, id))!;
    expect(found.entry.title).toBe("Dawn");
    await keepEntry(db, { pieceId: id, playerId: player.id, entry: { ...found.entry, tempo: 90 }, seen: found.seen });
    expect((await pieceById(db, id))!.title).toBe("Dawn");
    await set("piece", id, true);
  });
});

describe("recitals", () => {
  it("are made once, moved, and hold the pieces that are put on their programme", async () => {
    const id = randomUUID();
    const asked = { id, playerId: player.id, title: "The orchard room", heldOn: "2027-03-01" };
    await addRecital(db, asked);
    await addRecital(db, asked);
    await moveRecital(db, { id, request: randomUUID(), heldOn: "2027-04-02" });
    expect((await repertoire()).recitals).toMatchObject([{ id, heldOn: "2027-04-02" }]);
    expect(await playAt(db, { request: randomUUID(), pieceId, recitalId: id })).toMatchObject({ ok: true });
    expect((await passageData(db, passageId))!.recital).toMatchObject({ title: "The orchard room" });
    await set("recital", id, true);
    expect((await passageData(db, passageId))!.recital).toBeNull();
    expect((await piecesWithPassages(db, player.id))[0]!.recital).toBeNull();
    await set("recital", id, false);
    expect((await passageData(db, passageId))!.recital).toMatchObject({ heldOn: "2027-04-02" });
    await playAt(db, { request: randomUUID(), pieceId, recitalId: null });
    expect((await passageData(db, passageId))!.recital).toBeNull();
  });

  it("are nobody else's: a piece is not put on another player's programme", async () => {
    expect(await playAt(db, { request: randomUUID(), pieceId, recitalId: randomUUID() })).toMatchObject({ ok: false });
    const stranger = { id: randomUUID(), playerId: randomUUID(), title: "Elsewhere", heldOn: "2027-01-01" };
    expect(await addRecital(db, stranger)).toMatchObject({ ok: false, message: /player is not there/ });
  });
});
