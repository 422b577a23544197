import { and, eq, ne } from "drizzle-orm";
import { z } from "zod";
import { DAY_PLAN, DOSE } from "@/core/physics";
import { sumOfDoses } from "@/core/practice/planner/dose";
import { planAhead, planDay, type DayAsked, type DayPlan } from "@/core/practice/planner/day";
import { dayAfter, daysBetween, weekdayOf, type Day } from "@/core/time/days";
import { dayIn, startOf, type Zone } from "@/core/time/zone";
import { limitOf } from "@/core/trials/day-limit";
import type { Db } from "@/db/client";
import { isRepeated } from "@/db/queries/history";
import { blocksOfDays, lastLifted, settingsOf } from "@/db/queries/practice";
import { block, dayPlan } from "@/db/schema";
import { haltData } from "../players/halt";
import { dayPlayed } from "../trials/day-played";
import { NOBODY } from "../players/player";
import type { Answer, DayAheadData, TodayData } from "../types";
import { blockData } from "./block-data";
import { knownOf } from "./known";
import { doseToday, spentIn, spentOutside, todayData } from "./today";

export const DayPlanAsked = z.object({
  playerId: z.uuid(),
  request: z.uuid(),
  minutes: z
    .number()
    .int("Minutes are whole ones.")
    .min(DAY_PLAN.range[0], "A day's practice is ten minutes at least.")
    .max(DAY_PLAN.range[1], "No more than six hours are planned for a day."),
  isCold: z.boolean(),
});

/**
 * Plans a player's day, or what is left of it: what is done stays as it is, and its minutes and wide openings are spent. Sent
 * twice, it is planned once. Nothing is planned while the player has stopped for a sign of harm.
 */
export async function planToday(
  db: Db,
  { playerId, request, minutes, isCold }: z.infer<typeof DayPlanAsked>,
  day: Day,
  zone: Zone,
): Promise<Answer<TodayData>> {
  const asked = await askedFor(db, { playerId, minutes, isCold, day, zone });
  if (!asked) return NOBODY;
  if (await haltData(db, playerId))
    return { ok: false, message: "You have stopped. Nothing is planned until you say that you are playing again." };
  const plan = planDay(asked);
  await db.transaction(async (tx) => {
    if (await isRepeated(tx, request)) return;
    const [kept] = await tx
      .insert(dayPlan)
      .values({ pianistId: playerId, on: day, minutes, isCold })
      .onConflictDoUpdate({ target: [dayPlan.pianistId, dayPlan.on], set: { minutes, isCold } })
      .returning({ id: dayPlan.id });
    await tx.delete(block).where(and(eq(block.dayPlanId, kept!.id), ne(block.state, "done")));
    const done = await tx.select({ id: block.id }).from(block).where(eq(block.dayPlanId, kept!.id));
    if (plan.stretches.length > 0) await tx.insert(block).values(rowsOf(plan, kept!.id, done.length));
  });
  return { ok: true, value: await todayData(db, playerId, day, zone, plan.hindered) };
}

function rowsOf({ stretches }: DayPlan, dayPlanId: string, from: number): (typeof block.$inferInsert)[] {
  return stretches.map(({ doing, passageId, pieceId, why, minutes, dose }, i) => ({
    dayPlanId,
    place: from + i,
    doing,
    passageId,
    pieceId,
    why,
    minutes,
    doseRight: dose.right,
    doseLeft: dose.left,
  }));
}

/** What the planner is asked for a player's day; null where there is no such player. */
async function askedFor(
  db: Db,
  {
    playerId,
    minutes,
    isCold,
    day,
    zone,
  }: { playerId: string; minutes: number; isCold: boolean; day: Day; zone: Zone },
): Promise<DayAsked | null> {
  const settings = await settingsOf(db, playerId);
  if (!settings) return null;
  const [known, kept, lifted, outside, playing] = await Promise.all([
    knownOf(db, { playerId, rule: settings.rule, day, zone }),
    blocksOfDays(db, playerId, day, day),
    lastLifted(db, playerId),
    spentOutside(db, playerId, day, zone),
    playingLeft(db, playerId, day, zone),
  ]);
  const done = kept.map(blockData).filter(({ state }) => state === "done");
  const { limit, spent } = doseToday(
    settings.doseLimit,
    lifted && daysBetween(dayIn(zone, lifted.getTime()), day),
    sumOfDoses([spentIn(done), outside]),
    day,
  );
  return {
    ...known,
    school: settings.school,
    isCold,
    isWarm: done.some(({ doing }) => doing === "warm-up"),
    minutes: minutes - done.reduce((sum, one) => sum + (one.done?.minutes ?? 0), 0),
    left: { right: Math.max(0, limit - spent.right), left: Math.max(0, limit - spent.left) },
    playing,
  };
}

/** Minutes of takes that a player's own limit leaves of a day, lowered where they stopped; null where they set none. */
async function playingLeft(db: Db, playerId: string, day: Day, zone: Zone): Promise<number | null> {
  const played = await dayPlayed(db, { playerId, since: startOf(day, zone).toISOString() });
  if (!played.ok || played.value.own === null) return null;
  return Math.max(0, limitOf(played.value)! - played.value.played);
}

export const AheadAsked = z.object({ playerId: z.uuid() });

/** Days that are looked ahead. */
const AHEAD = 14;

/** The days to come as they would be planned if those before them were done as planned. */
export async function daysAhead(
  db: Db,
  { playerId }: z.infer<typeof AheadAsked>,
  day: Day,
  zone: Zone,
): Promise<Answer<readonly DayAheadData[]>> {
  const settings = await settingsOf(db, playerId);
  const asked = settings && (await askedFor(db, { playerId, minutes: 0, isCold: false, day, zone }));
  if (!settings || !asked) return NOBODY;
  const days = Array.from({ length: AHEAD }, (_, i) => i + 1).flatMap((inDays) => {
    const minutes = settings.week[weekdayOf(dayAfter(day, inDays))] ?? 0;
    return minutes < DAY_PLAN.range[0] ? [] : [{ inDays, minutes }];
  });
  const own = settings.doseLimit ?? DOSE.starting;
  const wholeDay = { left: { right: own, left: own }, playing: settings.dayLimit };
  return {
    ok: true,
    value: planAhead(asked, days, wholeDay).map(({ stretches, minutes }, i) => ({
      day: dayAfter(day, days[i]!.inDays),
      minutes,
      blocks: stretches
        .filter(({ doing }) => doing !== "check" && doing !== "rest" && doing !== "warm-up")
        .map(({ doing, title, why }) => ({ doing, title, why })),
    })),
  };
}
