import { and, desc, eq, inArray, isNull, ne } from "drizzle-orm";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { CleanRule } from "@/core/trials/clean";
import type { Felt } from "@/core/trials/felt";
import type { Db } from "../client";
import { felt, fingering, fingeringVersion, passage, pianist, piece, take, takeFigures } from "../schema";

type TakeKept = typeof take.$inferSelect;
type TakeFiguresKept = typeof takeFigures.$inferSelect;

/** Keeps a take and what it came to. Sent twice, it is kept once. */
export async function keepTake(
  db: Db,
  kept: typeof take.$inferInsert,
  figures: Omit<typeof takeFigures.$inferInsert, "takeId">,
): Promise<void> {
  await db.transaction(async (tx) => {
    const [made] = await tx.insert(take).values(kept).onConflictDoNothing().returning({ id: take.id });
    if (made) await tx.insert(takeFigures).values({ ...figures, takeId: made.id });
  });
}

/** A take as it is listed: without its keys. */
export type TakeListed = Omit<TakeKept, "keys" | "pedal" | "click" | "hands"> &
  Omit<TakeFiguresKept, "takeId" | "doseRight" | "doseLeft"> & {
    /** What was felt, where something was said. */
    readonly tension: number | null;
    readonly bars: Felt["bars"];
    readonly easy: Felt["easy"];
    /** What the player calls clean; null for the usual rule. */
    readonly rule: CleanRule | null;
  };

/** The newest takes of a passage, newest first, without their keys. */
export async function takesOf(db: Db, passageId: string, most: number): Promise<readonly TakeListed[]> {
  return db
    .select({
      id: take.id,
      passageId: take.passageId,
      fingeringId: take.fingeringId,
      version: take.version,
      source: take.source,
      tempo: take.tempo,
      at: take.at,
      snip: take.snip,
      measures: takeFigures.measures,
      faults: takeFigures.faults,
      tempoReached: takeFigures.tempoReached,
      first: takeFigures.first,
      amounts: takeFigures.amounts,
      late: takeFigures.late,
      astray: takeFigures.astray,
      tension: felt.amount,
      bars: felt.bars,
      easy: felt.easy,
      rule: pianist.cleanRule,
    })
    .from(take)
    .innerJoin(takeFigures, eq(takeFigures.takeId, take.id))
    .leftJoin(felt, eq(felt.takeId, take.id))
    .innerJoin(passage, eq(passage.id, take.passageId))
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .innerJoin(pianist, eq(pianist.id, piece.pianistId))
    .where(eq(take.passageId, passageId))
    .orderBy(desc(take.at), desc(take.id))
    .limit(most);
}

/** What went astray and was felt in a player's own takes of whole passages: nothing else of them is read. */
export async function ownTakesOf(db: Db, passages: readonly string[]) {
  if (passages.length === 0) return [];
  const found = await db
    .select({
      passageId: take.passageId,
      fingeringId: take.fingeringId,
      late: takeFigures.late,
      astray: takeFigures.astray,
      amount: felt.amount,
      bars: felt.bars,
    })
    .from(take)
    .innerJoin(takeFigures, eq(takeFigures.takeId, take.id))
    .leftJoin(felt, eq(felt.takeId, take.id))
    .where(and(inArray(take.passageId, [...passages]), ne(take.source, "simulated piano"), isNull(take.snip)));
  return found.map(({ amount, bars, ...listed }) => ({ ...listed, felt: amount === null ? null : { amount, bars } }));
}

/** A take with its keys, and the digits that it was played on; null where there is none. */
export async function takeById(
  db: Db,
  id: string,
): Promise<{ readonly take: TakeKept; readonly digits: Fingering } | null> {
  const [found] = await db
    .select({ take, digits: fingeringVersion.digits })
    .from(take)
    .innerJoin(
      fingeringVersion,
      and(eq(fingeringVersion.fingeringId, take.fingeringId), eq(fingeringVersion.version, take.version)),
    )
    .where(eq(take.id, id));
  return found ?? null;
}

/** The digits of a version of a fingering of a passage; null where the passage has no such version. */
export async function digitsOfVersion(
  db: Db,
  passageId: string,
  fingeringId: string,
  version: number,
): Promise<Fingering | null> {
  const [found] = await db
    .select({ digits: fingeringVersion.digits })
    .from(fingeringVersion)
    .innerJoin(fingering, eq(fingering.id, fingeringVersion.fingeringId))
    .where(
      and(
        eq(fingering.passageId, passageId),
        eq(fingeringVersion.fingeringId, fingeringId),
        eq(fingeringVersion.version, version),
      ),
    );
  return found?.digits ?? null;
}
