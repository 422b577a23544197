import type { Db } from "@/db/client";
import { pianistOrNew } from "@/db/queries/pianists";

/** The player of this installation; made, without a name, when there is none yet. */
export async function player(db: Db): Promise<{ readonly id: string; readonly name: string }> {
  return pianistOrNew(db, "Pianist");
}
