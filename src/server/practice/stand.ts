import { eq } from "drizzle-orm";
import { z } from "zod";
import { NOTCHES } from "@/core/practice/ladder";
import { USUAL_SCHOOL } from "@/core/practice/school";
import type { Day } from "@/core/time/days";
import type { Db } from "@/db/client";
import { blocksOfDays, settingsOf, standOf } from "@/db/queries/practice";
import { passage, piece, practiceStand } from "@/db/schema";
import { GONE } from "../gone";
import type { Answer, PracticeStand } from "../types";
import { blockData } from "./block-data";

/** The slowest and the fastest that a ladder goes, quarter notes a minute. */
const RUNGS = [4, 1000] as const;
const MOST_PLAYS = 2000;

export const StandKept = z.object({
  passageId: z.uuid(),
  ladder: z
    .object({
      tempo: z.number().min(RUNGS[0]).max(RUNGS[1]),
      misses: z.number().int().min(0).max(10),
      notch: z.enum(NOTCHES),
    })
    .nullable(),
  count: z.object({ wanted: z.number().int().min(1).max(100), plays: z.array(z.boolean()).max(MOST_PLAYS) }).nullable(),
  worked: z
    .record(z.string().max(60), z.iso.date())
    .refine((all) => Object.keys(all).length <= 500, "Too many drills."),
});

/** Where the practice of a passage stands. @param day the day it is where the player is */
export async function practiceStandData(db: Db, passageId: string, day: Day): Promise<Answer<PracticeStand>> {
  const [own] = await db
    .select({ pianistId: piece.pianistId })
    .from(passage)
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(eq(passage.id, passageId));
  if (!own) return GONE;
  const [kept, settings, blocks] = await Promise.all([
    standOf(db, passageId),
    settingsOf(db, own.pianistId),
    blocksOfDays(db, own.pianistId, day, day),
  ]);
  const next = blocks.map(blockData).find(({ passage: of, state }) => of?.id === passageId && state === "planned");
  return {
    ok: true,
    value: {
      ladder: kept?.ladder ?? null,
      count: kept?.count ?? null,
      worked: kept?.worked ?? {},
      school: settings?.school ?? USUAL_SCHOOL,
      week: settings?.week ?? [],
      block: next ?? null,
    },
  };
}

/** Keeps where it stands; the newest counts. */
export async function keepStand(
  db: Db,
  { passageId, ladder, count, worked }: z.infer<typeof StandKept>,
): Promise<Answer<null>> {
  const at = new Date();
  await db
    .insert(practiceStand)
    .values({ passageId, ladder, count, worked, at })
    .onConflictDoUpdate({ target: practiceStand.passageId, set: { ladder, count, worked, at } });
  return { ok: true, value: null };
}
