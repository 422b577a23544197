import { eq, sql } from "drizzle-orm";
import { z } from "zod";
import { FELT_NEXT, FELT_PLACES } from "@/core/trials/felt";
import type { Db } from "@/db/client";
import { felt, take } from "@/db/schema";
import { GONE } from "../gone";
import type { Answer, TakeData } from "../types";
import { takesData } from "./takes";

const bar = z.string().min(1).max(20);

/** What a player says of a take. */
export const FeltAsked = z.object({
  takeId: z.uuid(),
  places: z
    .array(z.object({ place: z.enum(FELT_PLACES), side: z.enum(["right", "left"]).nullable() }))
    .max(2 * FELT_PLACES.length),
  amount: z.number().int().min(0, "Tension is told from 0 to 10.").max(10, "Tension is told from 0 to 10."),
  bars: z.object({ from: bar, to: bar }).nullable(),
  loose: z.boolean().nullable(),
  easy: z.boolean().nullable(),
  next: z.enum(FELT_NEXT).nullable(),
});

/** Keeps what was felt in a take; said again, the newest counts. */
export async function keepFelt(db: Db, asked: z.infer<typeof FeltAsked>): Promise<Answer<readonly TakeData[]>> {
  const [found] = await db.select({ passageId: take.passageId }).from(take).where(eq(take.id, asked.takeId));
  if (!found) return GONE;
  const { takeId, ...said } = asked;
  await db
    .insert(felt)
    .values({ takeId, ...said })
    .onConflictDoUpdate({ target: felt.takeId, set: { ...said, at: sql`now()` } });
  return { ok: true, value: await takesData(db, found.passageId) };
}
