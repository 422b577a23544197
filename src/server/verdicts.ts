import { eq } from "drizzle-orm";
import { z } from "zod";
import { day, type Day } from "@/core/time/days";
import { VERDICT_KINDS } from "@/core/verdict/standing";
import type { Db } from "@/db/client";
import { fingering, verdictEvent } from "@/db/schema";
import { keepPracticeDay, practiceDays, verdictEvents } from "@/db/queries/passages";
import type { Answer, VerdictData } from "./types";
import { dayOf } from "./today";

export const DayAsked = z.iso.date("This is not a day.").transform((text) => day(text));

export const VerdictAsked = z
  .object({
    id: z.uuid(),
    passageId: z.uuid(),
    kind: z.enum(VERDICT_KINDS),
    fingeringId: z.uuid().nullable(),
    reason: z.string().trim().max(2000, "A reason has at most 2000 letters."),
    author: z.string().trim().min(1).max(120),
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
export async function addVerdict(db: Db, asked: z.infer<typeof VerdictAsked>): Promise<Answer<readonly VerdictData[]>> {
  if (asked.fingeringId !== null) {
    const [taken] = await db
      .select({ passageId: fingering.passageId })
      .from(fingering)
      .where(eq(fingering.id, asked.fingeringId));
    if (taken?.passageId !== asked.passageId)
      return { ok: false, message: "This option does not belong to this passage." };
  }
  await db
    .insert(verdictEvent)
    .values({ ...asked, at: new Date() })
    .onConflictDoNothing();
  return { ok: true, value: await verdictsData(db, asked.passageId) };
}

/** What was decided about a passage, oldest first. */
export async function verdictsData(db: Db, passageId: string): Promise<readonly VerdictData[]> {
  const events = await verdictEvents(db, passageId);
  return events.map(({ kind, fingeringId, reason, author, decideOn, reviewAfter, at }) => ({
    kind,
    fingeringId,
    reason,
    author,
    decideOn: decideOn as Day | null,
    reviewAfter,
    on: dayOf(at),
    at: at.toISOString(),
  }));
}

export const PracticeAsked = z.object({ passageId: z.uuid(), day: DayAsked, practised: z.boolean() });

/** Marks a day as one on which a passage was practised, or takes the mark away; gives back all of them. */
export async function markPractice(
  db: Db,
  { passageId, day: on, practised }: z.infer<typeof PracticeAsked>,
): Promise<Answer<readonly Day[]>> {
  await keepPracticeDay(db, passageId, on, practised);
  return { ok: true, value: (await practiceDays(db, passageId)) as readonly Day[] };
}
