import { and, asc, desc, eq, isNull } from "drizzle-orm";
import type { Side } from "@/core/hand/finger";
import type { Db } from "../client";
import { handMeasurement, instrument, pianist, recital, rest } from "../schema";

/** The one player of this installation, the first that was made; null before any is. */
export async function firstPianist(db: Db): Promise<typeof pianist.$inferSelect | null> {
  const [found] = await db.select().from(pianist).orderBy(asc(pianist.createdAt), asc(pianist.id)).limit(1);
  return found ?? null;
}

/** The id under which a player is made who is not there yet: two requests at once make one. */
const FIRST = "00000000-0000-4000-8000-000000000000";

/** The player of this installation; made under a name when there is none yet. */
export async function pianistOrNew(db: Db, name: string): Promise<typeof pianist.$inferSelect> {
  const found = await firstPianist(db);
  if (found) return found;
  await db.insert(pianist).values({ id: FIRST, name }).onConflictDoNothing();
  return (await firstPianist(db))!;
}

export async function pianistById(db: Db, id: string): Promise<typeof pianist.$inferSelect | null> {
  const [found] = await db.select().from(pianist).where(eq(pianist.id, id));
  return found ?? null;
}

/** All measurements of a hand, newest first. */
export async function measurements(
  db: Db,
  pianistId: string,
  side: Side,
): Promise<(typeof handMeasurement.$inferSelect)[]> {
  return db
    .select()
    .from(handMeasurement)
    .where(and(eq(handMeasurement.pianistId, pianistId), eq(handMeasurement.side, side)))
    .orderBy(desc(handMeasurement.measuredOn), desc(handMeasurement.createdAt));
}

/** The player's instruments, the one in use first. */
export async function instruments(db: Db, pianistId: string): Promise<(typeof instrument.$inferSelect)[]> {
  return db
    .select()
    .from(instrument)
    .where(eq(instrument.pianistId, pianistId))
    .orderBy(desc(instrument.takenUpAt), desc(instrument.createdAt));
}

/** What is resting now, longest first. */
export async function restsNow(db: Db, pianistId: string): Promise<(typeof rest.$inferSelect)[]> {
  return db
    .select()
    .from(rest)
    .where(and(eq(rest.pianistId, pianistId), isNull(rest.endedOn)))
    .orderBy(asc(rest.since), asc(rest.createdAt));
}

export async function recitals(db: Db, pianistId: string): Promise<(typeof recital.$inferSelect)[]> {
  return db.select().from(recital).where(eq(recital.pianistId, pianistId)).orderBy(asc(recital.heldOn));
}
