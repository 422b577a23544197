import { and, eq, isNull, sql } from "drizzle-orm";
import { z } from "zod";
import { ownAfter, USUAL_FIGURES, type OwnFigures } from "@/core/hand/own";
import { OWN } from "@/core/physics";
import type { Db } from "@/db/client";
import { ownFiguresInForce } from "@/db/queries/own-figures";
import { ownFigures } from "@/db/schema";
import { isHere, NOBODY } from "../players/player";
import type { Answer, OwnData } from "../types";

/** A player's own figures as every answer takes them; as usual where they have taken none up. */
export async function ownGiven(db: Db, pianistId: string): Promise<OwnFigures> {
  const found = await ownFiguresInForce(db, pianistId);
  return found ? { causes: found.causes, movement: found.movement } : USUAL_FIGURES;
}

/** What the Hands page shows of them; null where none are in force. */
export async function ownData(db: Db, pianistId: string): Promise<OwnData | null> {
  const found = await ownFiguresInForce(db, pianistId);
  return found && { causes: found.causes, movement: found.movement, takes: found.takes, since: found.at.toISOString() };
}

/** Of which player. */
export const OwnAsked = z.object({ playerId: z.uuid() });

export const TakeUpAsked = z.object({
  /** Of the request: sent twice, it is done once. */
  id: z.uuid(),
  playerId: z.uuid(),
  takes: z.number().int().min(OWN.leastTakes).max(32_000),
  causes: z.record(z.string().max(40), z.number().min(OWN.causeRange[0]).max(OWN.causeRange[1])),
  movement: z.number().min(OWN.movementRange[0]).max(OWN.movementRange[1]).nullable(),
});

/** Takes up what was proposed: from now on every answer counts by it. */
export async function takeUpOwn(
  db: Db,
  { id, playerId: pianistId, takes, causes, movement }: z.infer<typeof TakeUpAsked>,
): Promise<Answer<OwnData | null>> {
  if (!(await isHere(db, pianistId))) return NOBODY;
  const after = ownAfter(await ownGiven(db, pianistId), causes, movement);
  await db
    .insert(ownFigures)
    .values({ id, pianistId, takes, ...after })
    .onConflictDoNothing();
  return { ok: true, value: await ownData(db, pianistId) };
}

/** Goes back to the figures before those in force. */
export async function giveUpOwn(
  db: Db,
  { playerId: pianistId }: z.infer<typeof OwnAsked>,
): Promise<Answer<OwnData | null>> {
  const now = await ownFiguresInForce(db, pianistId);
  if (now)
    await db
      .update(ownFigures)
      .set({ givenUpAt: sql`now()` })
      .where(and(eq(ownFigures.id, now.id), isNull(ownFigures.givenUpAt)));
  return { ok: true, value: await ownData(db, pianistId) };
}
