import { and, eq, isNotNull } from "drizzle-orm";
import { diaryNote, passage } from "@/db/schema";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofNotes: Belonging = {
  noun: "note",
  untitled: false,
  ...changing(diaryNote, "text"),
  async gone(db, pianistId) {
    const rows = await db
      .select({ id: diaryNote.id, title: diaryNote.text, of: passage.title, at: diaryNote.goneAt })
      .from(diaryNote)
      .leftJoin(passage, eq(diaryNote.passageId, passage.id))
      .where(and(eq(diaryNote.pianistId, pianistId), isNotNull(diaryNote.goneAt)));
    return rows.map(({ at, ...row }) => ({ ...row, at: at! }));
  },
};
