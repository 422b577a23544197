import { and, eq, isNotNull, isNull } from "drizzle-orm";
import { passage, piece } from "@/db/schema";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofPassages: Belonging = {
  noun: "passage",
  untitled: false,
  ...changing(passage),
  async gone(db, pianistId) {
    const rows = await db
      .select({ id: passage.id, title: passage.title, of: piece.title, at: passage.goneAt })
      .from(passage)
      .innerJoin(piece, eq(passage.pieceId, piece.id))
      .where(and(eq(piece.pianistId, pianistId), isNull(piece.goneAt), isNotNull(passage.goneAt)));
    return rows.map(({ at, ...row }) => ({ ...row, at: at! }));
  },
};
