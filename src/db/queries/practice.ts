import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, lt, lte, ne, sql } from "drizzle-orm";
import type { Zone } from "@/core/time/zone";
import type { Db, Tx } from "../client";
import {
  block,
  dayPlan,
  diaryNote,
  felt,
  fingering,
  halt,
  passage,
  pianist,
  piece,
  practiceStand,
  take,
  takeFigures,
} from "../schema";

/** A block with the names of what it is about. */
const BLOCK = {
  block,
  passage: { id: passage.id, title: passage.title },
  piece: { id: piece.id, title: piece.title },
  on: dayPlan.on,
};

export type BlockKept = Awaited<ReturnType<typeof blocksOfDays>>[number];

/** The blocks of a player's days between two, both included, in order. */
export async function blocksOfDays(db: Db | Tx, pianistId: string, from: string, to: string) {
  return db
    .select(BLOCK)
    .from(block)
    .innerJoin(dayPlan, eq(dayPlan.id, block.dayPlanId))
    .leftJoin(passage, eq(passage.id, block.passageId))
    .leftJoin(piece, eq(piece.id, block.pieceId))
    .where(and(eq(dayPlan.pianistId, pianistId), gte(dayPlan.on, from), lte(dayPlan.on, to)))
    .orderBy(asc(dayPlan.on), asc(block.place));
}

/** A player's plan for a day; null where there is none. */
export async function planOfDay(db: Db | Tx, pianistId: string, on: string) {
  const [found] = await db
    .select()
    .from(dayPlan)
    .where(and(eq(dayPlan.pianistId, pianistId), eq(dayPlan.on, on)));
  return found ?? null;
}

/** The blocks of the last day planned before another that were neither done nor struck out. */
export async function leftOver(db: Db, pianistId: string, before: string): Promise<ReadonlySet<string>> {
  const [last] = await db
    .select({ id: dayPlan.id })
    .from(dayPlan)
    .where(and(eq(dayPlan.pianistId, pianistId), lt(dayPlan.on, before)))
    .orderBy(desc(dayPlan.on))
    .limit(1);
  if (!last) return new Set();
  const rows = await db
    .select({ passageId: block.passageId })
    .from(block)
    .where(
      and(
        eq(block.dayPlanId, last.id),
        eq(block.state, "planned"),
        isNotNull(block.passageId),
        ne(block.doing, "warm-up"),
      ),
    );
  return new Set(rows.map(({ passageId }) => passageId!));
}

/** When each piece of a player was last run through. */
export async function lastRuns(db: Db, pianistId: string): Promise<ReadonlyMap<string, string>> {
  const rows = await db
    .select({ pieceId: block.pieceId, on: sql<string>`max(${dayPlan.on})::text` })
    .from(block)
    .innerJoin(dayPlan, eq(dayPlan.id, block.dayPlanId))
    .where(and(eq(dayPlan.pianistId, pianistId), eq(block.doing, "run"), eq(block.state, "done")))
    .groupBy(block.pieceId);
  return new Map(rows.map(({ pieceId, on }) => [pieceId!, on]));
}

/** When a player last lifted a stop; null where they never did. */
export async function lastLifted(db: Db, pianistId: string): Promise<Date | null> {
  const [found] = await db
    .select({ at: sql<Date | null>`max(${halt.liftedAt})`.mapWith(halt.liftedAt) })
    .from(halt)
    .where(eq(halt.pianistId, pianistId));
  return found?.at ?? null;
}

const OWN_WHOLE = and(ne(take.source, "simulated piano"), isNull(take.snip));

/** Tempo and measures of a player's own takes of whole passages since a day, oldest first: nothing else of them is read. */
export async function takesKnown(db: Db, pianistId: string, since: Date) {
  return db
    .select({ passageId: take.passageId, tempo: take.tempo, at: take.at, measures: takeFigures.measures })
    .from(take)
    .innerJoin(takeFigures, eq(takeFigures.takeId, take.id))
    .innerJoin(passage, eq(passage.id, take.passageId))
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(and(eq(piece.pianistId, pianistId), gte(take.at, since), OWN_WHOLE))
    .orderBy(asc(take.at));
}

/** The day where the player is on which a take was played. */
const dayOfTake = (zone: Zone) => sql<string>`(${take.at} at time zone ${zone})::date::text`;

/** On which days which of some passages were played by the player themselves, without the takes. */
export async function playedOnDays(db: Db, passages: readonly string[], zone: Zone) {
  if (passages.length === 0) return [];
  return db
    .selectDistinct({ day: dayOfTake(zone), passageId: take.passageId })
    .from(take)
    .where(and(inArray(take.passageId, [...passages]), OWN_WHOLE));
}

interface TakesWanted {
  readonly from: Date;
  readonly to: Date;
  readonly passageId: string | null;
  /** Of these days alone, where the player is; of all between both moments where not said. */
  readonly on?: { readonly days: readonly string[]; readonly zone: Zone };
}

/** What the diary shows of a player's own takes between two moments, or of one passage's, oldest first. */
export async function takesOfDiary(db: Db, pianistId: string, { from, to, passageId, on }: TakesWanted) {
  return db
    .select({
      passageId: take.passageId,
      tempo: take.tempo,
      at: take.at,
      measures: takeFigures.measures,
      option: fingering.name,
      tension: felt.amount,
      bars: felt.bars,
    })
    .from(take)
    .innerJoin(takeFigures, eq(takeFigures.takeId, take.id))
    .innerJoin(fingering, eq(fingering.id, take.fingeringId))
    .leftJoin(felt, eq(felt.takeId, take.id))
    .innerJoin(passage, eq(passage.id, take.passageId))
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(
      and(
        eq(piece.pianistId, pianistId),
        gte(take.at, from),
        lt(take.at, to),
        OWN_WHOLE,
        ...(passageId === null ? [] : [eq(take.passageId, passageId)]),
        ...(on ? [inArray(dayOfTake(on.zone), [...on.days])] : []),
      ),
    )
    .orderBy(asc(take.at));
}

/** What was written into the diary on some days, or about one passage, oldest first. */
export async function notesOf(
  db: Db,
  pianistId: string,
  { from, to, passageId }: { readonly from: string; readonly to: string; readonly passageId: string | null },
) {
  return db
    .select()
    .from(diaryNote)
    .where(
      and(
        eq(diaryNote.pianistId, pianistId),
        isNull(diaryNote.goneAt),
        gte(diaryNote.on, from),
        lte(diaryNote.on, to),
        ...(passageId === null ? [] : [eq(diaryNote.passageId, passageId)]),
      ),
    )
    .orderBy(asc(diaryNote.on), asc(diaryNote.at));
}

/** Minutes and wide openings of every day that a player practised, oldest first. */
export async function dosesOf(db: Db, pianistId: string) {
  return db
    .select({
      day: dayPlan.on,
      right: sql<number>`coalesce(sum(${block.doseRight} * ${block.doneMinutes} / ${block.minutes}), 0)::double precision`,
      left: sql<number>`coalesce(sum(${block.doseLeft} * ${block.doneMinutes} / ${block.minutes}), 0)::double precision`,
      minutes: sql<number>`coalesce(sum(${block.doneMinutes}), 0)::integer`,
    })
    .from(dayPlan)
    .innerJoin(block, eq(block.dayPlanId, dayPlan.id))
    .where(and(eq(dayPlan.pianistId, pianistId), eq(block.state, "done")))
    .groupBy(dayPlan.on)
    .orderBy(asc(dayPlan.on));
}

/**
 * What wide openings cost in a player's own takes outside every block that was done, day by day where the player is, oldest
 * first: what was played in a block is part of what the block cost.
 */
export async function dosesOutsideBlocks(db: Db | Tx, pianistId: string, from: Date, zone: Zone) {
  const isInBlock = sql`exists (
    select 1 from ${block}
    where ${block.passageId} = ${take.passageId} and ${block.state} = 'done'
      and ${take.at} between ${block.doneAt} - make_interval(mins => ${block.doneMinutes}) and ${block.doneAt})`;
  const day = dayOfTake(zone);
  return db
    .select({
      day,
      right: sql<number>`sum(${takeFigures.doseRight})::double precision`,
      left: sql<number>`sum(${takeFigures.doseLeft})::double precision`,
    })
    .from(take)
    .innerJoin(takeFigures, eq(takeFigures.takeId, take.id))
    .innerJoin(passage, eq(passage.id, take.passageId))
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(
      and(
        eq(piece.pianistId, pianistId),
        ne(take.source, "simulated piano"),
        gte(take.at, from),
        sql`${takeFigures.doseRight} + ${takeFigures.doseLeft} > 0`,
        sql`not ${isInBlock}`,
      ),
    )
    .groupBy(sql`1`)
    .orderBy(sql`1`);
}

/** Where the practice of a passage stands; null where nothing was kept. */
export async function standOf(db: Db, passageId: string): Promise<typeof practiceStand.$inferSelect | null> {
  const [found] = await db.select().from(practiceStand).where(eq(practiceStand.passageId, passageId));
  return found ?? null;
}

/** How a player practises; null where there is no such player. */
export async function settingsOf(db: Db, pianistId: string) {
  const [found] = await db
    .select({
      week: pianist.weekMinutes,
      school: pianist.school,
      doseLimit: pianist.doseLimit,
      dayLimit: pianist.dayLimit,
      rule: pianist.cleanRule,
    })
    .from(pianist)
    .where(eq(pianist.id, pianistId));
  return found ?? null;
}
