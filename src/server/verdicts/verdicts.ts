import { eq } from "drizzle-orm";
import { z } from "zod";
import { day, daysBetween, type Day } from "@/core/time/days";
import { dayIn, type Zone } from "@/core/time/zone";
import { VERDICT_KINDS } from "@/core/verdict/standing";
import type { Db } from "@/db/client";
import { fingering, verdictEvent } from "@/db/schema";
import { keepPracticeDay, passageById, practiceDays, verdictEvents } from "@/db/queries/passages";
import type { Answer, VerdictData } from "../types";
import { serverZone, today } from "../players/day";
import { GONE } from "../gone";
import { text } from "../text";

const DayAsked = z.iso.date("This is not a day.").transform((text) => day(text));

export const VerdictAsked = z
  .object({
    id: z.uuid(),
    passageId: z.uuid(),
    kind: z.enum(VERDICT_KINDS),
    fingeringId: z.uuid().nullable(),
    reason: text([2000, "A reason has at most 2000 letters."]),
    author: text([120, "A name has at most 120 letters."]).min(1, "Say whose verdict it is."),
    decideOn: DayAsked.nullable().default(null),
    reviewAfter: z
      .number()
      .int("Practice days are counted whole.")
      .min(1, "A review comes after one practice day at least.")
      .max(365, "A review comes after 365 practice days at most.")
      .nullable()
      .default(null),
  })
  .refine((v) => v.kind === "known" || (v.kind === "taken") === (v.fingeringId !== null), {
    message: "A verdict takes one option; nothing else does.",
  })
  .refine((v) => (v.kind === "undecided") === (v.decideOn !== null), {
    message: "Choose the day by which to decide.",
    path: ["decideOn"],
  })
  .refine((v) => v.kind !== "taken" || v.reason.length > 0, {
    message: "Write down why, in a few words.",
    path: ["reason"],
  });

/** Adds to what was decided about a passage. Sent twice, it is kept once. */
export async function addVerdict(
  db: Db,
  asked: z.infer<typeof VerdictAsked>,
  zone: Zone = serverZone(),
): Promise<Answer<readonly VerdictData[]>> {
  if (asked.fingeringId !== null) {
    const [taken] = await db
      .select({ passageId: fingering.passageId })
      .from(fingering)
      .where(eq(fingering.id, asked.fingeringId));
    if (taken?.passageId !== asked.passageId)
      return { ok: false, message: "This option does not belong to this passage." };
  }
  if (!(await passageById(db, asked.passageId))) return GONE;
  await db.insert(verdictEvent).values(asked).onConflictDoNothing();
  return { ok: true, value: await verdictsData(db, asked.passageId, zone) };
}

/** What was decided about a passage, oldest first, each on the day that it was where the player is. */
export async function verdictsData(
  db: Db,
  passageId: string,
  zone: Zone = serverZone(),
): Promise<readonly VerdictData[]> {
  return (await verdictEvents(db, passageId)).map((event) => verdictData(event, zone));
}

/** An event of the log as pages are given it. */
export function verdictData(
  { kind, fingeringId, reason, author, decideOn, reviewAfter, at }: typeof verdictEvent.$inferSelect,
  zone: Zone,
): VerdictData {
  return {
    kind,
    fingeringId,
    reason,
    author,
    decideOn: decideOn as Day | null,
    reviewAfter,
    on: dayIn(zone, at.getTime()),
    at: at.toISOString(),
  };
}

export const PracticeAsked = z.object({
  id: z.uuid(),
  passageId: z.uuid(),
  day: DayAsked,
  practised: z.boolean(),
});

/** Years back that practice is written down for at most. A choice: a long life at the piano. */
const MOST_YEARS = 90;

/**
 * Marks a day as one on which a passage was practised, or takes the mark away; gives back all of them.
 * @param now the day it is where the player is: what lies ahead was not practised yet
 */
export async function markPractice(
  db: Db,
  { id, passageId, day: on, practised }: z.infer<typeof PracticeAsked>,
  now: Day = today(serverZone()),
): Promise<Answer<readonly Day[]>> {
  if (practised && daysBetween(now, on) > 0) return { ok: false, message: "A day of practice cannot lie ahead." };
  if (daysBetween(on, now) > MOST_YEARS * 366) return { ok: false, message: "This day lies too far back." };
  if (!(await passageById(db, passageId))) return GONE;
  await keepPracticeDay(db, id, passageId, on, practised);
  return { ok: true, value: (await practiceDays(db, passageId)) as readonly Day[] };
}
