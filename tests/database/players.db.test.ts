import { randomUUID } from "node:crypto";
import type { Db } from "@/db/client";
import { takeOrBring } from "@/server/belongings/belongings";
import { handsGiven } from "@/server/hands/hands";
import { startRest } from "@/server/hands/rests";
import { loadDemo } from "@/server/load-demo";
import { begin, BeginAsked } from "@/server/players/begin";
import { serverZone, today } from "@/server/players/day";
import { player } from "@/server/players/player";
import { demoAway, playersData } from "@/server/players/players";
import { repertoireData } from "@/server/pieces/repertoire";
import { fingeringsOf } from "@/db/queries/fingerings";
import { pianistsHere } from "@/db/queries/pianists";
import { fingering, passage, pianist, verdictEvent } from "@/db/schema";
import { eq } from "drizzle-orm";
import { freshDatabase } from "../support/database";
import { errands } from "../support/threads-here";

let db: Db;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
});
afterAll(() => drop());

const asked = (more: object = {}) =>
  BeginAsked.parse({
    ...{ id: randomUUID(), name: "Ada Quill", hand: "both", rulerSpan: 182, recital: null },
    ...more,
  });
const ON = today(serverZone());

describe("the demo", () => {
  it("goes on where its loading broke off, and works nothing out twice", async () => {
    let left = 2;
    errands.meanwhile = async (name) => {
      await Promise.resolve();
      if (name === "firstOptions" && left-- === 0) throw new Error("The power went out.");
    };
    await expect(loadDemo(db)).rejects.toThrow("The power went out.");
    errands.meanwhile = null;
    const before = await db.select().from(fingering);
    expect(await loadDemo(db)).toBe(true);
    const after = await db.select().from(fingering);
    expect(after).toEqual(expect.arrayContaining(before));
    for (const { id } of await db.select().from(passage))
      expect((await fingeringsOf(db, id)).length).toBeGreaterThan(0);
    const verdicts = await db.select().from(verdictEvent);
    expect(await loadDemo(db)).toBe(false);
    expect(await db.select().from(verdictEvent)).toEqual(verdicts);
    expect(await pianistsHere(db)).toHaveLength(1);
  });
});

describe("players", () => {
  it("begin with a name, a hand and a recital, once, and an empty repertoire", async () => {
    const own = asked({ hand: "left", recital: { title: "The orchard room", heldOn: "2027-05-01" } });
    expect(await begin(db, own, ON)).toEqual({ ok: true, value: { playerId: own.id } });
    await begin(db, own, ON);
    const data = await repertoireData(db, own, serverZone());
    expect(data.pieces).toEqual([]);
    expect(data.recitals).toMatchObject([{ title: "The orchard room" }]);
    const { right, left } = await handsGiven(db, own.id);
    expect(left.measured.rulerSpan).toBe(182);
    expect(right.measured.rulerSpan).toBeUndefined();
  });

  it("have hands of their own: what rests in one rests in no other", async () => {
    const [one, other] = [asked({ name: "One" }), asked({ name: "Other", rulerSpan: 230 })];
    await begin(db, one, ON);
    await begin(db, other, ON);
    const rest = { id: randomUUID(), side: "right", fingers: [4 as const], reason: "A cut.", reviewOn: "2999-01-01" };
    await startRest(db, { ...rest, side: "right", playerId: one.id }, ON);
    expect((await handsGiven(db, one.id)).right.resting).toEqual([4]);
    expect((await handsGiven(db, other.id)).right).toMatchObject({ measured: { rulerSpan: 230 }, resting: [] });
  });

  it.each([
    [{ rulerSpan: 20 }, /outside what a hand can be/],
    [{ rulerSpan: 400 }, /outside what a hand can be/],
  ])("with a span that no hand has are refused, and nothing is left behind: %p", async (more, words) => {
    const own = asked(more);
    expect(await begin(db, own, ON)).toMatchObject({ ok: false, message: expect.stringMatching(words) });
    expect(await db.select().from(pianist).where(eq(pianist.id, own.id))).toEqual([]);
  });

  it("that are named play; where the one named is away or nobody, the first who is here does", async () => {
    const [demo, second] = await pianistsHere(db);
    expect((await player(db, second!.id))!.id).toBe(second!.id);
    expect((await player(db, randomUUID()))!.id).toBe(demo!.id);
    await takeOrBring(db, { request: randomUUID(), kind: "player", id: second!.id, gone: true });
    expect((await player(db, second!.id))!.id).toBe(demo!.id);
    await takeOrBring(db, { request: randomUUID(), kind: "player", id: second!.id, gone: false });
  });

  it("can send the demo away and have it back with everything in it", async () => {
    const [demo] = await pianistsHere(db);
    const count = (await playersData(db)).find(({ id }) => id === demo!.id)!.pieces;
    expect(count).toBeGreaterThan(5);
    await takeOrBring(db, { request: randomUUID(), kind: "player", id: demo!.id, gone: true });
    expect((await playersData(db)).some(({ isDemo }) => isDemo)).toBe(false);
    expect(await demoAway(db)).toBe(demo!.id);
    expect(await loadDemo(db)).toBe(false);
    await takeOrBring(db, { request: randomUUID(), kind: "player", id: demo!.id, gone: false });
    expect((await playersData(db)).find(({ isDemo }) => isDemo)!.pieces).toBe(count);
    expect(await demoAway(db)).toBeNull();
  });
});
