import { drizzle } from "drizzle-orm/postgres-js";
import postgres from "postgres";
import { sql } from "drizzle-orm";
import { connect, type Db } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";
import * as schema from "@/db/schema";
import { passage, take } from "@/db/schema";
import { handsData } from "@/server/hands/hands";
import { passageData } from "@/server/passages/passages";
import { pieceData } from "@/server/pieces/piece-data";
import { repertoireData } from "@/server/pieces/repertoire";
import { serverZone, today } from "@/server/players/day";
import { DiaryAsked, diaryData } from "@/server/practice/diary";
import { daysAhead, planToday } from "@/server/practice/plan-day";
import { practiceStandData } from "@/server/practice/stand";
import { storyData } from "@/server/practice/story";
import { todayData } from "@/server/practice/today";
import { closeThreads } from "@/server/threads/pool";
import { pieceMap } from "@/server/trials/piece-map";
import { takesData } from "@/server/trials/takes";
import { fillYears, type Years } from "../tests/support/years";
import { randomUUID } from "node:crypto";

/**
 * Every main screen of a player of years on the server: median time, number of queries, and how many a player of days needs;
 * then the plan of each query that takes longest. In databases of its own beside the one named by DATABASE_URL.
 */
const MANY: Years = { pieces: 300, passages: 2000, takes: 20_000, days: 3 * 365 };
const FEW: Years = { pieces: 3, passages: 12, takes: 60, days: 10 };
const TIMES = 7;
/** Queries whose plan is printed. */
const PLANNED = 6;

interface Asked {
  readonly text: string;
  readonly params: readonly unknown[];
  readonly ms: number;
}

/** A database with a player in it, of which every query is known. */
async function opened(name: string, years: Years) {
  const address = process.env["DATABASE_URL"]!;
  const admin = postgres(address, { max: 1, onnotice: () => undefined });
  await admin.unsafe(`drop database if exists ${name} with (force)`);
  await admin.unsafe(`create database ${name}`);
  await admin.end();
  const own = address.replace(/\/[^/]*$/, `/${name}`);
  const { db, close } = connect(own);
  await migrateToNewest(db);
  const player = await fillYears(db, years, today(serverZone()));
  await db.execute(sql`analyze`);
  const queries: { text: string; params: readonly unknown[] }[] = [];
  const client = postgres(own, { max: 5, onnotice: () => undefined });
  const logger = { logQuery: (text: string, params: unknown[]): void => void queries.push({ text, params }) };
  const watched = drizzle(client, { schema, casing: "snake_case", logger }) as unknown as Db;
  const end = async (): Promise<void> => {
    await client.end();
    await close();
  };
  return { db, client, watched, queries, player, end };
}

type House = Awaited<ReturnType<typeof opened>>;
const ZONE = serverZone();
const DAY = today(ZONE);

/** Every main screen, by what its page asks for. */
async function screens({ db, watched, player }: House) {
  const [busiest] = await db
    .select({ id: passage.id, pieceId: passage.pieceId })
    .from(take)
    .innerJoin(passage, sql`${passage.id} = ${take.passageId}`)
    .groupBy(passage.id)
    .orderBy(sql`count(*) desc`)
    .limit(1);
  const { id, pieceId } = busiest!;
  const at = { day: DAY, zone: ZONE };
  const diary = (asked: object) => diaryData(watched, player, DiaryAsked.parse(asked), at);
  return [
    [
      "Repertoire and Today",
      () =>
        Promise.all([
          repertoireData(watched, { id: player, name: "" } as never, ZONE),
          todayData(watched, player, DAY, ZONE),
        ]),
    ],
    [
      "the day planned",
      () => planToday(watched, { playerId: player, request: randomUUID(), minutes: 90, isCold: false }, DAY, ZONE),
    ],
    ["the days to come", () => daysAhead(watched, { playerId: player }, DAY, ZONE)],
    ["Piece", () => pieceData(watched, pieceId)],
    ["map of a piece", () => pieceMap(watched, { pieceId })],
    ["Bench, Side by side, Sheet", () => passageData(watched, id, ZONE)],
    ["Trials", () => takesData(watched, id)],
    ["Practice", () => Promise.all([passageData(watched, id, ZONE), practiceStandData(watched, id, DAY)])],
    ["Diary", () => diary({})],
    ["Diary of a passage", () => Promise.all([diary({ passage: id }), storyData(watched, player, id, ZONE)])],
    ["Diary searched for words", () => diary({ words: "thumb late" })],
    ["Hands", () => handsData(watched, player, ZONE)],
  ] as const;
}

const few = await opened("velvet_few", FEW);
const counts = new Map<string, number>();
for (const [name, ask] of await screens(few)) {
  await ask();
  few.queries.length = 0;
  await ask();
  counts.set(name, few.queries.length);
}
await few.end();

const from = performance.now();
const many = await opened("velvet_years", MANY);
console.log(`${JSON.stringify(MANY)} made in ${((performance.now() - from) / 1000).toFixed(0)} s`);
const asked = new Map<string, { text: string; params: readonly unknown[] }>();
for (const [name, ask] of await screens(many)) {
  const times: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    many.queries.length = 0;
    const begun = performance.now();
    await ask();
    times.push(performance.now() - begun);
  }
  for (const one of many.queries) asked.set(one.text, one);
  const middle = times.sort((a, b) => a - b)[TIMES >> 1]!;
  console.log(
    `${name.padEnd(30)} ${middle.toFixed(0).padStart(5)} ms   ${many.queries.length} queries (${counts.get(name)} of days)`,
  );
}

const slow: Asked[] = [];
for (const { text, params } of asked.values()) {
  if (!/^select/i.test(text)) continue;
  const begun = performance.now();
  await many.client.unsafe(text, params as never);
  slow.push({ text, params, ms: performance.now() - begun });
}
for (const { text, params, ms } of slow.sort((a, b) => b.ms - a.ms).slice(0, PLANNED)) {
  console.log(`\n${ms.toFixed(0)} ms: ${text.replace(/\s+/g, " ").slice(0, 220)}`);
  const plan = await many.client.unsafe(`explain (analyze, costs off) ${text}`, params as never);
  for (const line of plan) console.log(`    ${String(Object.values(line as object)[0])}`);
}
await many.end();
await closeThreads();
