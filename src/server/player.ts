import type { Db } from "@/db/client";
import { firstPianist } from "@/db/queries/pianists";
import { pianist } from "@/db/schema";

/** The player of this installation; made, without a name, when there is none yet. */
export async function player(db: Db): Promise<{ readonly id: string; readonly name: string }> {
  const found = await firstPianist(db);
  if (found) return found;
  const [made] = await db.insert(pianist).values({ name: "Pianist" }).returning();
  return made!;
}
