import { and, eq, isNotNull } from "drizzle-orm";
import { recital } from "@/db/schema";
import { dayInWords, type Belonging } from "../belonging";
import { changing } from "../changing";

export const ofRecitals: Belonging = {
  noun: "recital",
  untitled: false,
  ...changing(recital),
  async gone(db, pianistId) {
    const rows = await db
      .select({ id: recital.id, title: recital.title, of: recital.heldOn, at: recital.goneAt })
      .from(recital)
      .where(and(eq(recital.pianistId, pianistId), isNotNull(recital.goneAt)));
    return rows.map(({ at, of, ...row }) => ({ ...row, of: dayInWords(of), at: at! }));
  },
};
