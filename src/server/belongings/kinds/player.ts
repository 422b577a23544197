import { isNotNull } from "drizzle-orm";
import { pianist } from "@/db/schema";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofPlayers: Belonging = {
  noun: "player",
  untitled: false,
  ...changing(pianist, "name"),
  /** Of all who played here: nobody is another's. */
  async gone(db) {
    const rows = await db
      .select({ id: pianist.id, title: pianist.name, at: pianist.goneAt })
      .from(pianist)
      .where(isNotNull(pianist.goneAt));
    return rows.map(({ at, ...row }) => ({ ...row, of: null, at: at! }));
  },
};
