import { eq } from "drizzle-orm";
import { z } from "zod";
import type { Finger } from "@/core/hand/finger";
import type { Db } from "@/db/client";
import { rest } from "@/db/schema";
import { restsData, today } from "./hands";
import { player } from "./player";
import type { Answer, RestData } from "./types";

export const RestAsked = z.object({
  id: z.uuid(),
  side: z.enum(["right", "left"]),
  fingers: z
    .array(z.literal([1, 2, 3, 4, 5]))
    .min(1, "Say which fingers are resting.")
    .transform((fingers) => [...new Set(fingers)].sort() as Finger[]),
  reason: z.string().trim().min(1, "Write down why, in a few words.").max(500, "A reason has at most 500 letters."),
  reviewOn: z.iso.date("Say on which day you will look at it again."),
});

/** Marks fingers as resting from today. Sent twice, it is kept once. */
export async function startRest(db: Db, asked: z.infer<typeof RestAsked>): Promise<Answer<readonly RestData[]>> {
  const since = today();
  if (asked.reviewOn < since) return { ok: false, message: "The day to look at it again cannot lie behind you." };
  const { id: pianistId } = await player(db);
  await db
    .insert(rest)
    .values({ ...asked, pianistId, since })
    .onConflictDoNothing();
  return { ok: true, value: await restsData(db, pianistId) };
}

export const RestChange = z.object({ id: z.uuid(), ended: z.boolean() });

/** Ends a rest today, or takes that back. */
export async function endRest(db: Db, { id, ended }: z.infer<typeof RestChange>): Promise<Answer<readonly RestData[]>> {
  const [row] = await db
    .update(rest)
    .set({ endedOn: ended ? today() : null })
    .where(eq(rest.id, id))
    .returning();
  if (!row) return { ok: false, message: "This is not there any more." };
  return { ok: true, value: await restsData(db, row.pianistId) };
}
