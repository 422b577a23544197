import { and, eq, inArray, isNull, sql } from "drizzle-orm";
import type { Db, Tx } from "../client";
import { edit, fingering, passage, passageChange, request } from "../schema";

/**
 * Notes that a request is being done; told apart from one that was done before, by the id that the page gave it. Waits
 * for another that is doing the same.
 */
export async function isRepeated(tx: Tx, id: string): Promise<boolean> {
  const [made] = await tx.insert(request).values({ id }).onConflictDoNothing().returning({ id: request.id });
  return made === undefined;
}

/** Locks a passage, so that what changes it or its options comes one after another; null where it is gone. */
export async function lockPassage(tx: Tx, id: string): Promise<typeof passage.$inferSelect | null> {
  const [found] = await tx
    .select()
    .from(passage)
    .where(and(eq(passage.id, id), isNull(passage.goneAt)))
    .for("update");
  return found ?? null;
}

/** A passage is played or asked otherwise from here on: its options have something to follow. */
export async function reviseInPlace(tx: Tx, passageId: string): Promise<void> {
  await tx
    .update(passage)
    .set({ revision: sql`${passage.revision} + 1` })
    .where(eq(passage.id, passageId));
}

/** What was undone of a whole passage can no longer be done again once something else is done. */
export async function setChangesAside(tx: Tx, passageId: string): Promise<void> {
  await tx
    .update(passageChange)
    .set({ state: "set-aside" })
    .where(and(eq(passageChange.passageId, passageId), eq(passageChange.state, "undone")));
}

/** Edits of a passage's options that were undone cannot be done again once all of them are asked something else. */
export async function setEditsAside(tx: Tx, passageId: string): Promise<void> {
  const own = tx.select({ id: fingering.id }).from(fingering).where(eq(fingering.passageId, passageId));
  await tx
    .update(edit)
    .set({ state: "set-aside" })
    .where(and(inArray(edit.fingeringId, own), eq(edit.state, "undone")));
}

/** Days for which a request is known again. A choice: nothing that waits in a browser is older. */
const KNOWN_DAYS = 90;

/** Forgets requests that nobody sends again. */
export async function forgetOldRequests(db: Db): Promise<void> {
  await db.delete(request).where(sql`${request.at} < now() - make_interval(days => ${KNOWN_DAYS})`);
}
