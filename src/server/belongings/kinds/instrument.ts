import { and, eq, isNotNull } from "drizzle-orm";
import { instrument } from "@/db/schema";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofInstruments: Belonging = {
  noun: "instrument",
  untitled: false,
  ...changing(instrument, "name"),
  async gone(db, pianistId) {
    const rows = await db
      .select({ id: instrument.id, title: instrument.name, at: instrument.goneAt })
      .from(instrument)
      .where(and(eq(instrument.pianistId, pianistId), isNotNull(instrument.goneAt)));
    return rows.map(({ at, ...row }) => ({ ...row, of: null, at: at! }));
  },
};
