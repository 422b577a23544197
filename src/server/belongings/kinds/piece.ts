import { and, eq, isNotNull } from "drizzle-orm";
import { writeEntry } from "@/formats/musicxml/writing/write-entry";
import { pieceById } from "@/db/queries/pieces";
import { piece } from "@/db/schema";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofPieces: Belonging = {
  noun: "piece",
  untitled: false,
  ...changing(piece),
  /** What was entered step by step carries its title in its notes. */
  async rename(db, id, title) {
    const found = await pieceById(db, id);
    if (!found || title === null) return false;
    const entry = found.entry && { ...found.entry, title };
    const written = entry && { entry, source: new TextEncoder().encode(writeEntry(entry)) };
    await db
      .update(piece)
      .set({ title, ...written })
      .where(eq(piece.id, id));
    return true;
  },
  async gone(db, pianistId) {
    const rows = await db
      .select({ id: piece.id, title: piece.title, at: piece.goneAt })
      .from(piece)
      .where(and(eq(piece.pianistId, pianistId), isNotNull(piece.goneAt)));
    return rows.map(({ at, ...row }) => ({ ...row, of: null, at: at! }));
  },
};
