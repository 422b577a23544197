import { and, desc, eq, isNull, sql } from "drizzle-orm";
import { z } from "zod";
import { HALT_SIGNS } from "@/core/trials/felt";
import type { Db } from "@/db/client";
import { halt } from "@/db/schema";
import type { Answer, HaltData } from "../types";
import { isHere, NOBODY } from "./player";

export const HaltAsked = z.object({ id: z.uuid(), playerId: z.uuid(), sign: z.enum(HALT_SIGNS) });

/** The player stops. Sent twice, it is kept once. */
export async function startHalt(
  db: Db,
  { id, playerId: pianistId, sign }: z.infer<typeof HaltAsked>,
): Promise<Answer<HaltData | null>> {
  if (!(await isHere(db, pianistId))) return NOBODY;
  await db.insert(halt).values({ id, pianistId, sign }).onConflictDoNothing();
  return { ok: true, value: await haltData(db, pianistId) };
}

export const LiftAsked = z.object({ playerId: z.uuid() });

/** The player goes on playing: only they can say so. */
export async function liftHalt(
  db: Db,
  { playerId: pianistId }: z.infer<typeof LiftAsked>,
): Promise<Answer<HaltData | null>> {
  await db
    .update(halt)
    .set({ liftedAt: sql`now()` })
    .where(and(eq(halt.pianistId, pianistId), isNull(halt.liftedAt)));
  return { ok: true, value: await haltData(db, pianistId) };
}

/** What holds a player back now; null where nothing does. */
export async function haltData(db: Db, pianistId: string): Promise<HaltData | null> {
  const [found] = await db
    .select({ sign: halt.sign, at: halt.at })
    .from(halt)
    .where(and(eq(halt.pianistId, pianistId), isNull(halt.liftedAt)))
    .orderBy(desc(halt.at))
    .limit(1);
  return found ? { sign: found.sign, since: found.at.toISOString() } : null;
}
