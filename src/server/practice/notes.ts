import { and, eq } from "drizzle-orm";
import { z } from "zod";
import type { Db } from "@/db/client";
import { diaryNote, passage, piece } from "@/db/schema";
import { GONE } from "../gone";
import { isHere, NOBODY } from "../players/player";
import { text } from "../text";
import type { Answer } from "../types";

export const NoteAsked = z.object({
  id: z.uuid(),
  playerId: z.uuid(),
  passageId: z.uuid().nullable(),
  on: z.iso.date("Say for which day it is."),
  text: text([4000, "A note has at most 4000 letters."]).min(1, "Write something, in your own words."),
  author: text([120, "A name has at most 120 letters."])
    .transform((name) => (name === "" ? null : name))
    .nullable(),
});

/** Writes into the diary. Sent twice, it is kept once. */
export async function addNote(
  db: Db,
  { playerId, ...note }: z.infer<typeof NoteAsked>,
): Promise<Answer<{ readonly id: string }>> {
  if (!(await isHere(db, playerId))) return NOBODY;
  if (note.passageId !== null) {
    const [own] = await db
      .select({ id: passage.id })
      .from(passage)
      .innerJoin(piece, eq(piece.id, passage.pieceId))
      .where(and(eq(passage.id, note.passageId), eq(piece.pianistId, playerId)));
    if (!own) return GONE;
  }
  await db
    .insert(diaryNote)
    .values({ ...note, pianistId: playerId })
    .onConflictDoNothing();
  return { ok: true, value: { id: note.id } };
}
