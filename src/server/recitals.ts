import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import type { Db } from "@/db/client";
import { isRepeated } from "@/db/queries/history";
import { piece, recital } from "@/db/schema";
import { isHere, NOBODY } from "./players/player";
import { name } from "./text";
import type { Answer } from "./types";

const HeldOn = z.iso.date("Say the day of the recital.");

export const NewRecital = z.object({ id: z.uuid(), playerId: z.uuid(), title: name("recital"), heldOn: HeldOn });

/** Makes a recital. Sent twice, one is made. */
export async function addRecital(
  db: Db,
  { id, playerId, title, heldOn }: z.infer<typeof NewRecital>,
): Promise<Answer<{ readonly id: string }>> {
  if (!(await isHere(db, playerId))) return NOBODY;
  await db.insert(recital).values({ id, pianistId: playerId, title, heldOn }).onConflictDoNothing();
  return { ok: true, value: { id } };
}

export const MoveAsked = z.object({ id: z.uuid(), request: z.uuid(), heldOn: HeldOn });

/** Moves a recital to another day. */
export async function moveRecital(
  db: Db,
  { id, request, heldOn }: z.infer<typeof MoveAsked>,
): Promise<Answer<{ readonly heldOn: string }>> {
  const moved = await db.transaction(async (tx) => {
    if (await isRepeated(tx, request)) return true;
    const done = await tx.update(recital).set({ heldOn }).where(eq(recital.id, id)).returning({ id: recital.id });
    return done.length > 0;
  });
  return moved ? { ok: true, value: { heldOn } } : { ok: false, message: "This recital is not there any more." };
}

export const EndAsked = z.object({ id: z.uuid(), request: z.uuid(), ended: z.boolean() });

/** A recital is over before or after its day, or is not after all. What was on its programme has no date from it then. */
export async function endRecital(
  db: Db,
  { id, request, ended }: z.infer<typeof EndAsked>,
): Promise<Answer<{ readonly ended: boolean }>> {
  const isThere = await db.transaction(async (tx) => {
    if (await isRepeated(tx, request)) return true;
    const endedAt = ended ? new Date() : null;
    const done = await tx.update(recital).set({ endedAt }).where(eq(recital.id, id)).returning({ id: recital.id });
    return done.length > 0;
  });
  return isThere ? { ok: true, value: { ended } } : { ok: false, message: "This recital is not there any more." };
}

export const PlayedAtAsked = z.object({ request: z.uuid(), pieceId: z.uuid(), recitalId: z.uuid().nullable() });

/** Puts a piece on the programme of a recital of the same player, or off it with null. */
export async function playAt(
  db: Db,
  { request, pieceId, recitalId }: z.infer<typeof PlayedAtAsked>,
): Promise<Answer<{ readonly recitalId: string | null }>> {
  return db.transaction(async (tx): Promise<Answer<{ readonly recitalId: string | null }>> => {
    if (await isRepeated(tx, request)) return { ok: true, value: { recitalId } };
    const [own] = await tx.select({ pianistId: piece.pianistId }).from(piece).where(eq(piece.id, pieceId));
    if (!own) return { ok: false, message: "This piece is not there any more." };
    if (recitalId !== null) {
      const isOwn = and(eq(recital.id, recitalId), eq(recital.pianistId, own.pianistId), isNull(recital.goneAt));
      const [date] = await tx.select({ id: recital.id }).from(recital).where(isOwn);
      if (!date) return { ok: false, message: "This recital is not there any more." };
    }
    await tx.update(piece).set({ recitalId }).where(eq(piece.id, pieceId));
    return { ok: true, value: { recitalId } };
  });
}
