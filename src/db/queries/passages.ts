import { asc, eq } from "drizzle-orm";
import type { Db } from "../client";
import { passage, verdictEvent } from "../schema";

export async function passageById(db: Db, id: string): Promise<typeof passage.$inferSelect | null> {
  const [found] = await db.select().from(passage).where(eq(passage.id, id));
  return found ?? null;
}

/** What was decided, oldest first. */
export async function verdictEvents(db: Db, passageId: string): Promise<(typeof verdictEvent.$inferSelect)[]> {
  return db.select().from(verdictEvent).where(eq(verdictEvent.passageId, passageId)).orderBy(asc(verdictEvent.at));
}
