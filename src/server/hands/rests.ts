import { eq, sql } from "drizzle-orm";
import { z } from "zod";
import type { Day } from "@/core/time/days";
import type { Finger } from "@/core/hand/finger";
import type { Db } from "@/db/client";
import { isRepeated } from "@/db/queries/history";
import { rest } from "@/db/schema";
import { serverZone, today } from "../players/day";
import { restsData } from "./hands";
import { isHere, NOBODY } from "../players/player";
import { text } from "../text";
import type { Answer, RestData } from "../types";

export const RestAsked = z.object({
  id: z.uuid(),
  playerId: z.uuid(),
  side: z.enum(["right", "left"]),
  fingers: z
    .array(z.literal([1, 2, 3, 4, 5]))
    .min(1, "Say which fingers are resting.")
    .transform((fingers) => [...new Set(fingers)].sort() as Finger[]),
  reason: text([500, "A reason has at most 500 letters."]).min(1, "Write down why, in a few words."),
  reviewOn: z.iso.date("Say on which day you will look at it again."),
});

/** Marks fingers as resting from today. Sent twice, it is kept once. @param since the day it is where the player is */
export async function startRest(
  db: Db,
  { playerId: pianistId, ...asked }: z.infer<typeof RestAsked>,
  since: Day = today(serverZone()),
): Promise<Answer<readonly RestData[]>> {
  if (asked.reviewOn < since) return { ok: false, message: "The day to look at it again cannot lie behind you." };
  if (!(await isHere(db, pianistId))) return NOBODY;
  await db
    .insert(rest)
    .values({ ...asked, pianistId, since })
    .onConflictDoNothing();
  return { ok: true, value: await restsData(db, pianistId) };
}

export const RestChange = z.object({ id: z.uuid(), request: z.uuid(), ended: z.boolean() });

/** Ends a rest today, or takes that back. @param on the day it is where the player is; never before the rest began */
export async function endRest(
  db: Db,
  { id, request, ended }: z.infer<typeof RestChange>,
  on: Day = today(serverZone()),
): Promise<Answer<readonly RestData[]>> {
  const isIt = eq(rest.id, id);
  const [row] = await db.transaction(async (tx) => {
    if (await isRepeated(tx, request)) return tx.select().from(rest).where(isIt);
    const endedOn = ended ? sql`greatest(${rest.since}, ${on}::date)` : null;
    return tx.update(rest).set({ endedOn }).where(isIt).returning();
  });
  if (!row) return { ok: false, message: "This is not there any more." };
  return { ok: true, value: await restsData(db, row.pianistId) };
}
