import { DOSE } from "@/core/physics";
import { NO_DOSE, shareReturned, stepsToCome, sumOfDoses, type Dose } from "@/core/practice/planner/dose";
import { dayAfter, daysBetween, type Day } from "@/core/time/days";
import { dayIn, type Zone } from "@/core/time/zone";
import type { Db } from "@/db/client";
import { blocksOfDays, dosesOutsideBlocks, lastLifted, planOfDay, settingsOf } from "@/db/queries/practice";
import { haltData } from "../players/halt";
import { serverZone } from "../players/day";
import type { BlockData, DoseToday, PracticeSettings, TodayData } from "../types";
import { blockData } from "./block-data";

/** Everything that Today shows. Its queries do not grow with the days. @param day the day it is where the player is */
export async function todayData(
  db: Db,
  playerId: string,
  day: Day,
  zone: Zone = serverZone(),
  hindered: NonNullable<TodayData["plan"]>["hindered"] = [],
): Promise<TodayData> {
  const [plan, kept, settings, halt, lifted, outside] = await Promise.all([
    planOfDay(db, playerId, day),
    blocksOfDays(db, playerId, day, day),
    settingsOf(db, playerId),
    haltData(db, playerId),
    lastLifted(db, playerId),
    spentOutside(db, playerId, day, zone),
  ]);
  const blocks = kept.map(blockData);
  const { week, school, doseLimit } = settings ?? NOT_SAID;
  return {
    playerId,
    day,
    plan: plan && { minutes: plan.minutes, isCold: plan.isCold, blocks, hindered },
    settings: { week, school, doseLimit },
    dose: doseToday(
      doseLimit,
      lifted && daysBetween(dayIn(zone, lifted.getTime()), day),
      sumOfDoses([spentIn(blocks), outside]),
      day,
    ),
    halt,
  };
}

const NOT_SAID: PracticeSettings = { week: [], school: { basis: "passage", movement: "slow" }, doseLimit: null };

/** What wide openings have cost in the blocks that are done. */
export function spentIn(blocks: readonly Pick<BlockData, "dose" | "minutes" | "done">[]): Dose {
  return sumOfDoses(
    blocks.flatMap(({ dose, minutes, done }) => {
      if (!done) return [];
      const share = done.minutes / minutes;
      return [{ right: dose.right * share, left: dose.left * share }];
    }),
  );
}

/** What wide openings have cost on a day in takes outside the blocks that are done. */
export async function spentOutside(db: Db, playerId: string, day: Day, zone: Zone): Promise<Dose> {
  const since = new Date(`${dayAfter(day, -1)}T00:00:00Z`);
  const days = await dosesOutsideBlocks(db, playerId, since, zone);
  return days.find((one) => one.day === day) ?? NO_DOSE;
}

/** @param lifted days since the last stop was lifted; null where there was none */
export function doseToday(own: number | null, lifted: number | null, spent: Dose, day: Day): DoseToday {
  return {
    spent,
    limit: (own ?? DOSE.starting) * shareReturned(lifted),
    steps: stepsToCome(lifted).map(({ inDays, share }) => ({ on: dayAfter(day, inDays), share })),
  };
}
