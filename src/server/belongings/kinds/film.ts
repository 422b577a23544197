import { and, eq, isNotNull, isNull } from "drizzle-orm";
import { film, passage, piece } from "@/db/schema";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofFilms: Belonging = {
  noun: "film",
  untitled: false,
  ...changing(film, "name"),
  async gone(db, pianistId) {
    const rows = await db
      .select({ id: film.id, title: film.name, of: passage.title, at: film.goneAt })
      .from(film)
      .innerJoin(passage, eq(film.passageId, passage.id))
      .innerJoin(piece, eq(passage.pieceId, piece.id))
      .where(and(eq(piece.pianistId, pianistId), isNull(passage.goneAt), isNull(piece.goneAt), isNotNull(film.goneAt)));
    return rows.map(({ at, ...row }) => ({ ...row, at: at! }));
  },
};
