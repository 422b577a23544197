import { eq } from "drizzle-orm";
import { z } from "zod";
import type { Db } from "@/db/client";
import { fingering, verdictEvent } from "@/db/schema";
import { verdictEvents } from "@/db/queries/passages";
import type { Answer, VerdictData } from "./types";

export const VerdictAsked = z
  .object({
    id: z.uuid(),
    passageId: z.uuid(),
    kind: z.enum(["taken", "reopened"]),
    fingeringId: z.uuid().nullable(),
    reason: z.string().trim().max(2000, "A reason has at most 2000 letters."),
    author: z.string().trim().min(1).max(120),
  })
  .refine((v) => (v.kind === "taken") === (v.fingeringId !== null), {
    message: "A verdict takes one option; reopening takes none.",
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
  await db.insert(verdictEvent).values(asked).onConflictDoNothing();
  const events = await verdictEvents(db, asked.passageId);
  return {
    ok: true,
    value: events.map(({ kind, fingeringId, reason, author, at }) => ({
      kind,
      fingeringId,
      reason,
      author,
      at: at.toISOString(),
    })),
  };
}
