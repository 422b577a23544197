import { randomUUID } from "node:crypto";
import { eq } from "drizzle-orm";
import type { Db } from "@/db/client";
import { recital, piece as pieceTable } from "@/db/schema";
import { DOSE } from "@/core/physics";
import type { Day } from "@/core/time/days";
import { dayAfter } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import { GoneAsked, takeOrBring } from "@/server/belongings/belongings";
import { HaltAsked, liftHalt, startHalt } from "@/server/players/halt";
import { today } from "@/server/players/day";
import { passageData } from "@/server/passages/passages";
import { BlockChange, changeBlock } from "@/server/practice/blocks";
import { DiaryAsked, diaryData } from "@/server/practice/diary";
import { addNote, NoteAsked } from "@/server/practice/notes";
import { DayPlanAsked, daysAhead, planToday } from "@/server/practice/plan-day";
import { keepSettings, SettingsAsked } from "@/server/practice/settings";
import { keepStand, practiceStandData, StandKept } from "@/server/practice/stand";
import { storyData } from "@/server/practice/story";
import { todayData } from "@/server/practice/today";
import { RestAsked, startRest } from "@/server/hands/rests";
import type { BlockData, TodayData } from "@/server/types";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";

const ZONE = "UTC" as Zone;
let db: Db;
let drop: () => Promise<void>;
let passageId: string;
let playerId: string;
let pieceId: string;
let day: Day;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  passageId = await keptPassage(db, scoreXml([["C4", "D4", "E4", "F4"].map((p) => noteXml(p)).join("")]));
  const data = (await passageData(db, passageId))!;
  playerId = data.player.id;
  pieceId = data.piece.id;
  day = today(ZONE);
});
afterAll(() => drop());

async function planned(minutes = 60, isCold = false): Promise<TodayData> {
  const asked = DayPlanAsked.parse({ playerId, request: randomUUID(), minutes, isCold });
  const answer = await planToday(db, asked, day, ZONE);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
}

async function changed(id: string, change: unknown, request = randomUUID()): Promise<readonly BlockData[]> {
  const answer = await changeBlock(db, BlockChange.parse({ id, request, playerId, change }), ZONE);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value.plan!.blocks;
}

const music = (blocks: readonly BlockData[]): readonly BlockData[] =>
  blocks.filter(({ doing, passage }) => passage !== null && doing !== "warm-up");
const DONE = { kind: "done", minutes: 8, tempo: 92, count: { good: 5, plays: 7 }, loose: true, note: "It went." };

describe("a planned day", () => {
  it("is kept, and planned anew without losing what is done", async () => {
    expect((await todayData(db, playerId, day, ZONE)).plan).toBeNull();
    const first = await planned();
    const [block] = music(first.plan!.blocks);
    expect(block).toMatchObject({ doing: "decide", passage: { id: passageId }, state: "planned", done: null });
    await changed(block!.id, DONE);
    const again = await planned(90, true);
    expect(again.plan).toMatchObject({ minutes: 90, isCold: true });
    expect(again.plan!.blocks.find(({ id }) => id === block!.id)?.done).toMatchObject({
      minutes: 8,
      tempo: 92,
      loose: true,
    });
    expect((await passageData(db, passageId))!.practised).toContain(day);
  });

  it("is planned once however often it is asked for, and refused in sentences", async () => {
    const request = randomUUID();
    const asked = DayPlanAsked.parse({ playerId, request, minutes: 45, isCold: false });
    const [a, b] = [await planToday(db, asked, day, ZONE), await planToday(db, asked, day, ZONE)];
    expect(a.ok && b.ok && a.value.plan!.blocks.map(({ id }) => id)).toEqual(
      b.ok && b.value.plan!.blocks.map(({ id }) => id),
    );
    expect(DayPlanAsked.safeParse({ ...asked, minutes: 5 }).error?.issues[0]?.message).toContain(
      "ten minutes at least",
    );
    expect(await planToday(db, { ...asked, playerId: randomUUID(), request: randomUUID() }, day, ZONE)).toMatchObject({
      ok: false,
    });
  });

  it("is changed by hand: moved, shortened, struck out and had back, done and not done", async () => {
    const { plan } = await planned();
    const last = plan!.blocks.at(-1)!;
    const [first] = plan!.blocks;
    expect((await changed(last.id, { kind: "move", before: first!.id }))[0]!.id).toBe(last.id);
    expect((await changed(last.id, { kind: "move", before: null })).at(-1)!.id).toBe(last.id);
    const own = music(plan!.blocks).find(({ state }) => state === "planned") ?? first!;
    const after = (blocks: readonly BlockData[]): BlockData => blocks.find(({ id }) => id === own.id)!;
    expect(after(await changed(own.id, { kind: "minutes", minutes: 5 })).minutes).toBe(5);
    expect(after(await changed(own.id, { kind: "strike" })).state).toBe("struck");
    expect(after(await changed(own.id, { kind: "restore" })).state).toBe("planned");
    const request = randomUUID();
    await changed(own.id, DONE, request);
    expect(after(await changed(own.id, { ...DONE, minutes: 3 }, request)).done!.minutes).toBe(8);
    expect(after(await changed(own.id, { kind: "undone" }))).toMatchObject({ state: "planned", done: null });
    expect(
      BlockChange.safeParse({ id: own.id, request, playerId, change: { ...DONE, count: { good: 3, plays: 2 } } })
        .success,
    ).toBe(false);
  });

  it("is not planned after a stop, and comes back by steps once it is lifted", async () => {
    await startHalt(db, HaltAsked.parse({ id: randomUUID(), playerId, sign: "pain" }));
    const asked = DayPlanAsked.parse({ playerId, request: randomUUID(), minutes: 60, isCold: false });
    expect(await planToday(db, asked, day, ZONE)).toMatchObject({ ok: false });
    await liftHalt(db, { playerId });
    const { dose } = await todayData(db, playerId, day, ZONE);
    expect(dose.limit).toBeLessThan(DOSE.starting);
    expect(dose.steps.at(-1)).toMatchObject({ share: 1 });
    expect((await todayData(db, playerId, dayAfter(day, 30), ZONE)).dose.limit).toBe(DOSE.starting);
  });

  it("goes by the player's own week, school and limit", async () => {
    const settings = SettingsAsked.parse({
      playerId,
      week: [0, 30, 30, 30, 30, 30, 0],
      school: { basis: "exercises", movement: "snips" },
      doseLimit: 12,
    });
    expect(await keepSettings(db, settings)).toMatchObject({ ok: true });
    const { plan, settings: kept, dose } = await planned(60);
    expect(kept).toEqual({ week: settings.week, school: settings.school, doseLimit: 12 });
    expect(dose.limit).toBeLessThanOrEqual(12);
    expect(plan!.blocks.find(({ doing, state }) => doing === "warm-up" && state === "planned")!.why).toContain(
      "five fingers",
    );
    const ahead = await daysAhead(db, { playerId }, day, ZONE);
    if (!ahead.ok) throw new Error(ahead.message);
    expect(ahead.value.every((one) => one.minutes <= 30)).toBe(true);
    expect(ahead.value).toHaveLength(10);
    expect(SettingsAsked.safeParse({ ...settings, week: [1, 2] }).success).toBe(false);
  });

  it("knows the concert, and leaves out a hand that is out of use", async () => {
    const [evening] = await db
      .insert(recital)
      .values({ pianistId: playerId, title: "An evening", heldOn: dayAfter(day, 9) })
      .returning();
    await db.update(pieceTable).set({ recitalId: evening!.id }).where(eq(pieceTable.id, pieceId));
    const { plan } = await planned(120);
    expect(music(plan!.blocks).some(({ why }) => why.includes("the concert is in 9 days"))).toBe(true);
    expect(plan!.blocks.some(({ doing, piece }) => doing === "run" && piece?.id === pieceId)).toBe(true);
    const rest = RestAsked.parse({
      id: randomUUID(),
      playerId,
      side: "right",
      fingers: [1, 2, 3, 4, 5],
      reason: "Sprained.",
      reviewOn: dayAfter(day, 7),
    });
    await startRest(db, rest, day);
    const without = await planned(60);
    expect(without.plan!.hindered).toEqual([{ title: expect.any(String), why: "the right hand is out of use" }]);
    expect(music(without.plan!.blocks).filter(({ state }) => state === "planned")).toEqual([]);
  });
});

describe("where practice stands", () => {
  it("is kept with the player: the ladder, the count, drills that have done their work", async () => {
    const kept = StandKept.parse({
      passageId,
      ladder: { tempo: 72, misses: 1, notch: "five" },
      count: { wanted: 5, plays: [true, false] },
      worked: { "right joins 3": day },
    });
    expect(await keepStand(db, kept)).toMatchObject({ ok: true });
    const stand = await practiceStandData(db, passageId, day);
    const { ladder, count, worked } = kept;
    expect(stand.ok && stand.value).toMatchObject({ ladder, count, worked });
    expect(await practiceStandData(db, randomUUID(), day)).toMatchObject({ ok: false });
    expect(StandKept.safeParse({ ...kept, ladder: { ...kept.ladder, tempo: 0 } }).success).toBe(false);
  });
});

describe("the diary", () => {
  it("holds each day what was planned and done, written and decided, and finds a word in it", async () => {
    const note = NoteAsked.parse({
      id: randomUUID(),
      playerId,
      passageId,
      on: day,
      text: "Let the arm carry.",
      author: "A teacher",
    });
    for (let i = 0; i < 2; i++) expect(await addNote(db, note)).toMatchObject({ ok: true });
    await addNote(
      db,
      NoteAsked.parse({ ...note, id: randomUUID(), text: "Thumb under, bound.", author: "Another edition" }),
    );
    await addNote(
      db,
      NoteAsked.parse({ ...note, id: randomUUID(), passageId: null, text: "Slept badly.", author: "" }),
    );
    const at = { day, zone: ZONE };
    const { days, doses } = await diaryData(db, playerId, DiaryAsked.parse({}), at);
    expect(days[0]).toMatchObject({ day, minutes: 8 });
    expect(days[0]!.notes).toHaveLength(3);
    expect(doses).toMatchObject([{ day, minutes: 8 }]);
    const find = async (words: string) => (await diaryData(db, playerId, DiaryAsked.parse({ words }), at)).days.length;
    expect([await find("slept BADLY"), await find("carry teacher"), await find("nowhere")]).toEqual([1, 1, 0]);
    const story = (await storyData(db, playerId, passageId, ZONE))!;
    expect(story.advice.map(({ author }) => author)).toEqual(["A teacher", "Another edition"]);
    expect(await storyData(db, randomUUID(), passageId, ZONE)).toBeNull();
  });

  it("gives a note back that was taken away", async () => {
    const id = randomUUID();
    await addNote(db, NoteAsked.parse({ id, playerId, passageId: null, on: day, text: "To go.", author: null }));
    const texts = async () =>
      (await diaryData(db, playerId, DiaryAsked.parse({ words: "go" }), { day, zone: ZONE })).days.length;
    expect(await texts()).toBe(1);
    const gone = (is: boolean) =>
      takeOrBring(db, GoneAsked.parse({ kind: "note", id, request: randomUUID(), gone: is }));
    await gone(true);
    expect(await texts()).toBe(0);
    await gone(false);
    expect(await texts()).toBe(1);
  });
});
