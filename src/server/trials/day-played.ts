import { and, eq, gte, lt, ne, sql } from "drizzle-orm";
import { z } from "zod";
import { DAY_LIMIT } from "@/core/physics";
import type { DayPlayed } from "@/core/trials/day-limit";
import type { Db } from "@/db/client";
import { halt, passage, pianist, piece, take } from "@/db/schema";
import { isHere, NOBODY } from "../players/player";
import type { Answer } from "../types";

export const DayAsked = z.object({
  playerId: z.uuid(),
  /** When the day began where the player is. */
  since: z.iso.datetime(),
});

/** How much a player has played since their day began, and what they allow. */
export async function dayPlayed(db: Db, { playerId, since }: z.infer<typeof DayAsked>): Promise<Answer<DayPlayed>> {
  const from = new Date(since);
  const [who] = await db.select({ own: pianist.dayLimit }).from(pianist).where(eq(pianist.id, playerId));
  if (!who) return NOBODY;
  const [stopped] = await db
    .select({ at: halt.at })
    .from(halt)
    .where(and(eq(halt.pianistId, playerId), gte(halt.at, from)))
    .orderBy(halt.at)
    .limit(1);
  const played = await minutesOf(db, playerId, from, null);
  return {
    ok: true,
    value: { played, own: who.own, stoppedAt: stopped ? await minutesOf(db, playerId, from, stopped.at) : null },
  };
}

/** Minutes from the first key to the last of the player's own takes. */
async function minutesOf(db: Db, playerId: string, from: Date, until: Date | null): Promise<number> {
  const [sum] = await db
    .select({
      ms: sql<number>`coalesce(sum((${take.keys}->-1->>1)::double precision - (${take.keys}->0->>1)::double precision), 0)`,
    })
    .from(take)
    .innerJoin(passage, eq(passage.id, take.passageId))
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(
      and(
        eq(piece.pianistId, playerId),
        ne(take.source, "simulated piano"),
        gte(take.at, from),
        ...(until ? [lt(take.at, until)] : []),
      ),
    );
  return (sum?.ms ?? 0) / 60_000;
}

export const DayLimitAsked = z.object({
  playerId: z.uuid(),
  /** Minutes; null for no limit. */
  minutes: z
    .number()
    .int("A limit is whole minutes.")
    .min(DAY_LIMIT.range[0], "A limit is a minute at least.")
    .max(DAY_LIMIT.range[1], "A day has no more than ten hours of takes.")
    .nullable(),
});

/** Keeps what a player allows for a day. */
export async function keepDayLimit(
  db: Db,
  { playerId, minutes }: z.infer<typeof DayLimitAsked>,
): Promise<Answer<{ readonly minutes: number | null }>> {
  if (!(await isHere(db, playerId))) return NOBODY;
  await db.update(pianist).set({ dayLimit: minutes }).where(eq(pianist.id, playerId));
  return { ok: true, value: { minutes } };
}
