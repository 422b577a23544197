import { eq } from "drizzle-orm";
import { z } from "zod";
import { USUAL_RULE, type CleanRule } from "@/core/trials/clean";
import { CLEAN_RANGES } from "@/core/physics";
import type { Db } from "@/db/client";
import { pianist } from "@/db/schema";
import { isHere, NOBODY } from "../players/player";
import type { Answer } from "../types";

const within = ([least, most]: readonly [number, number], what: string) =>
  z.number().min(least, `${what}: from ${least} to ${most}.`).max(most, `${what}: from ${least} to ${most}.`);

export const CleanRuleAsked = z.object({
  playerId: z.uuid(),
  /** null for the usual rule. */
  rule: z
    .object({
      faults: within(CLEAN_RANGES.faults, "Faults").int(),
      evenness: within(CLEAN_RANGES.evenness, "Unevenness in ms"),
      latest: within(CLEAN_RANGES.latest, "The latest join in ms"),
      tempo: within(CLEAN_RANGES.tempo, "The share of the tempo"),
      runs: within(CLEAN_RANGES.runs, "Runs").int(),
    })
    .nullable(),
});

/** Keeps what a player calls a clean take: every take of theirs counts by it from now on. */
export async function keepCleanRule(
  db: Db,
  { playerId, rule }: z.infer<typeof CleanRuleAsked>,
): Promise<Answer<CleanRule>> {
  if (!(await isHere(db, playerId))) return NOBODY;
  await db.update(pianist).set({ cleanRule: rule }).where(eq(pianist.id, playerId));
  return { ok: true, value: rule ?? USUAL_RULE };
}
