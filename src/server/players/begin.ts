import { randomUUID } from "node:crypto";
import { z } from "zod";
import { problemsOf } from "@/core/hand/measured";
import type { Day } from "@/core/time/days";
import type { Db } from "@/db/client";
import { handMeasurement, pianist, recital } from "@/db/schema";
import { name } from "../text";
import type { Answer } from "../types";

export const BeginAsked = z.object({
  /** Of the player: sent twice, one is made. */
  id: z.uuid(),
  name: name("player"),
  /** Which hand was measured; with both, the two are alike until they are measured apart. */
  hand: z.enum(["right", "left", "both"]),
  /** mm on a ruler. */
  rulerSpan: z.number({ error: "Say the span in millimetres." }),
  recital: z.object({ title: name("recital"), heldOn: z.iso.date("Say the day of the recital.") }).nullable(),
});

/** A player's own beginning: their name, a hand or two, and a recital where there is one; the repertoire is empty. @param on the day it is where the player is */
export async function begin(
  db: Db,
  { id, name, hand, rulerSpan, recital: date }: z.infer<typeof BeginAsked>,
  on: Day,
): Promise<Answer<{ readonly playerId: string }>> {
  const problems = problemsOf({ rulerSpan });
  if (problems.length > 0) return { ok: false, message: problems.map((p) => p.sentence).join(" ") };
  await db.transaction(async (tx) => {
    const made = await tx.insert(pianist).values({ id, name }).onConflictDoNothing().returning();
    if (made.length === 0) return;
    const sides = hand === "both" ? (["right", "left"] as const) : [hand];
    const measured = { pianistId: id, measuredOn: on, way: "typed", rulerSpan } as const;
    await tx.insert(handMeasurement).values(sides.map((side) => ({ ...measured, id: randomUUID(), side })));
    if (date) await tx.insert(recital).values({ ...date, pianistId: id });
  });
  return { ok: true, value: { playerId: id } };
}
