import { randomUUID } from "node:crypto";
import { studyOf } from "@/core/fingering/study/study-data";
import { dayAfter, type Day } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import { playSimulated } from "@/core/trials/simulated/simulated-piano";
import type { Db } from "@/db/client";
import { passageData } from "@/server/passages/passages";
import { today } from "@/server/players/day";
import { BlockChange, changeBlock } from "@/server/practice/blocks";
import { DiaryAsked, diaryData } from "@/server/practice/diary";
import { knownOf } from "@/server/practice/known";
import { DayPlanAsked, daysAhead, planToday } from "@/server/practice/plan-day";
import { keepSettings, SettingsAsked } from "@/server/practice/settings";
import { todayData } from "@/server/practice/today";
import { addRecital, EndAsked, endRecital, playAt } from "@/server/recitals";
import { DayLimitAsked, keepDayLimit } from "@/server/trials/day-played";
import { addTake, TakeAsked } from "@/server/trials/takes";
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
  // Ninths of the right hand, one after another: every one opens it beyond comfort.
  const ninths = ["C4 D5", "D4 E5", "C4 D5", "D4 E5"].map((two) => {
    const [low, high] = two.split(" ") as [string, string];
    return noteXml(low) + noteXml(high, { chord: true });
  });
  passageId = await keptPassage(db, scoreXml([ninths.join("")]));
  const data = (await passageData(db, passageId))!;
  [playerId, pieceId] = [data.player.id, data.piece.id];
  day = today(ZONE);
  const school = { basis: "passage", movement: "slow" } as const;
  await keepSettings(db, SettingsAsked.parse({ playerId, week: Array(7).fill(60), school, doseLimit: 500 }));
});
afterAll(() => drop());

/** Plays the passage once. @param source the player's own by default */
async function played(source: "screen" | "simulated piano" = "screen"): Promise<void> {
  const { study, options } = (await passageData(db, passageId))!;
  const [option] = options;
  const { take } = playSimulated(studyOf(study), option!.digits, { seed: 1, faults: 0, tempo: 60 });
  const keys = take.keys.map(({ key, downMs, upMs, velocity }) => [key, downMs, upMs, velocity]);
  const of = { passageId, fingeringId: option!.id, version: option!.version, tempo: 60, click: false, snip: null };
  expect(await addTake(db, TakeAsked.parse({ id: randomUUID(), ...of, source, keys, pedal: [] }))).toMatchObject({
    ok: true,
  });
}

const spent = async (): Promise<number> => (await todayData(db, playerId, day, ZONE)).dose.spent.right;

async function planned() {
  const asked = DayPlanAsked.parse({ playerId, request: randomUUID(), minutes: 60, isCold: false });
  const answer = await planToday(db, asked, day, ZONE);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value.plan!;
}

describe("wide openings of a day", () => {
  it("count what is played outside every block, and never what the simulated piano plays", async () => {
    await played("simulated piano");
    expect(await spent()).toBe(0);
    await played();
    const once = await spent();
    expect(once).toBeGreaterThan(0);
    await played();
    expect(await spent()).toBeCloseTo(2 * once, 6);
    const { days, doses } = await diaryData(db, playerId, DiaryAsked.parse({}), { day, zone: ZONE });
    expect(doses).toMatchObject([{ day, minutes: 0 }]);
    expect(days[0]!.dose.right).toBeCloseTo(2 * once, 6);
  });

  it("count what is played in a block with the block, once", async () => {
    const block = (await planned()).blocks.find(({ passage, doing }) => passage !== null && doing !== "warm-up")!;
    const done = { kind: "done", minutes: block.minutes, tempo: null, count: null, loose: null, note: "" };
    await changeBlock(db, BlockChange.parse({ id: block.id, request: randomUUID(), playerId, change: done }), ZONE);
    expect(await spent()).toBeCloseTo(block.dose.right, 6);
  });
});

describe("a player's own limit for a day's takes", () => {
  const limited = (minutes: number | null) => keepDayLimit(db, DayLimitAsked.parse({ playerId, minutes }));

  it("bounds the plan of today and of the days to come, which says so", async () => {
    await limited(1);
    const { blocks, hindered } = await planned();
    expect(blocks.filter(({ state }) => state === "planned")).toEqual([]);
    expect(hindered.map(({ why }) => why)).toEqual(["your own limit for a day's takes leaves no room for it"]);
    const ahead = await daysAhead(db, { playerId }, day, ZONE);
    expect(ahead.ok && ahead.value.every((one) => one.blocks.length === 0)).toBe(true);
    await limited(null);
    expect((await planned()).hindered.map(({ why }) => why)).not.toContain(
      "your own limit for a day's takes leaves no room for it",
    );
  });
});

describe("a recital that is ended", () => {
  it("gives its pieces no date any more, until it is not over after all", async () => {
    const id = randomUUID();
    await addRecital(db, { id, playerId, title: "An evening", heldOn: dayAfter(day, 12) });
    await playAt(db, { request: randomUUID(), pieceId, recitalId: id });
    const inDays = async () =>
      (await knownOf(db, { playerId, rule: null, day, zone: ZONE })).passages.map(({ concertIn }) => concertIn);
    const end = (ended: boolean, request = randomUUID()) => endRecital(db, EndAsked.parse({ id, request, ended }));
    expect(await inDays()).toEqual([12]);
    const request = randomUUID();
    expect(await end(true, request)).toMatchObject({ ok: true });
    expect(await inDays()).toEqual([null]);
    await end(false);
    expect(await inDays()).toEqual([12]);
    expect(await end(true, request)).toMatchObject({ ok: true });
    expect(await inDays()).toEqual([12]);
    expect(await endRecital(db, { id: randomUUID(), request: randomUUID(), ended: true })).toMatchObject({ ok: false });
  });
});
