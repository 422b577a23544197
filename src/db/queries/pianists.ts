import { and, asc, desc, eq, isNull } from "drizzle-orm";
import type { Side } from "@/core/hand/finger";
import type { Db } from "../client";
import { handMeasurement, instrument, pianist, recital, rest } from "../schema";

export type Pianist = typeof pianist.$inferSelect;

const isHere = isNull(pianist.goneAt);

/** The players who are here, in the order in which they came. */
export async function pianistsHere(db: Db): Promise<readonly Pianist[]> {
  return db.select().from(pianist).where(isHere).orderBy(asc(pianist.createdAt), asc(pianist.id));
}

/** The first player who was made, here or gone; null before any is. */
export async function firstPianist(db: Db): Promise<Pianist | null> {
  const [found] = await db.select().from(pianist).orderBy(asc(pianist.createdAt), asc(pianist.id)).limit(1);
  return found ?? null;
}

/** The made-up player of the demo, here or gone; null where the demo was never loaded. */
export async function demoPianist(db: Db): Promise<Pianist | null> {
  const [found] = await db.select().from(pianist).where(eq(pianist.isDemo, true)).limit(1);
  return found ?? null;
}

export async function pianistById(db: Db, id: string): Promise<Pianist | null> {
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
    .where(
      and(eq(handMeasurement.pianistId, pianistId), eq(handMeasurement.side, side), isNull(handMeasurement.goneAt)),
    )
    .orderBy(desc(handMeasurement.measuredOn), desc(handMeasurement.createdAt));
}

/** The player's instruments, the one in use first. */
export async function instruments(db: Db, pianistId: string): Promise<(typeof instrument.$inferSelect)[]> {
  return db
    .select()
    .from(instrument)
    .where(and(eq(instrument.pianistId, pianistId), isNull(instrument.goneAt)))
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
  return db
    .select()
    .from(recital)
    .where(and(eq(recital.pianistId, pianistId), isNull(recital.goneAt)))
    .orderBy(asc(recital.heldOn), asc(recital.title));
}
