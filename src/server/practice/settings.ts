import { eq } from "drizzle-orm";
import { z } from "zod";
import { DAY_PLAN, DOSE } from "@/core/physics";
import type { Db } from "@/db/client";
import { pianist } from "@/db/schema";
import { isHere, NOBODY } from "../players/player";
import type { Answer, PracticeSettings } from "../types";

const Minutes = z
  .number()
  .int("Minutes are whole ones.")
  .min(0, "A day has no fewer than no minutes.")
  .max(DAY_PLAN.range[1], "No more than six hours are planned for a day.");

export const SettingsAsked = z.object({
  playerId: z.uuid(),
  week: z.array(Minutes).length(7, "A week has seven days."),
  school: z.object({ basis: z.enum(["exercises", "passage"]), movement: z.enum(["slow", "snips"]) }),
  doseLimit: z
    .number()
    .min(DOSE.range[0], "A limit for wide openings is 1 at least.")
    .max(DOSE.range[1], `A limit for wide openings is ${DOSE.range[1]} at most.`)
    .nullable(),
});

/** Keeps how a player practises. */
export async function keepSettings(
  db: Db,
  { playerId, week, school, doseLimit }: z.infer<typeof SettingsAsked>,
): Promise<Answer<PracticeSettings>> {
  if (!(await isHere(db, playerId))) return NOBODY;
  await db.update(pianist).set({ weekMinutes: week, school, doseLimit }).where(eq(pianist.id, playerId));
  return { ok: true, value: { week, school, doseLimit } };
}
