import { and, asc, desc, eq } from "drizzle-orm";
import type { Side } from "@/core/hand/finger";
import type { Db } from "../client";
import { handMeasurement, instrument, pianist, recital } from "../schema";

/** The one player of this installation, the first that was made; null before any is. */
export async function firstPianist(db: Db): Promise<typeof pianist.$inferSelect | null> {
  const [found] = await db.select().from(pianist).orderBy(asc(pianist.createdAt)).limit(1);
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

/** The instrument the player works on: the newest. */
export async function currentInstrument(db: Db, pianistId: string): Promise<typeof instrument.$inferSelect | null> {
  const [found] = await db
    .select()
    .from(instrument)
    .where(eq(instrument.pianistId, pianistId))
    .orderBy(desc(instrument.createdAt))
    .limit(1);
  return found ?? null;
}

export async function recitals(db: Db, pianistId: string): Promise<(typeof recital.$inferSelect)[]> {
  return db.select().from(recital).where(eq(recital.pianistId, pianistId)).orderBy(asc(recital.heldOn));
}
