import type { Db } from "@/db/client";
import { pianistsHere, type Pianist } from "@/db/queries/pianists";
import { pianist } from "@/db/schema";

/** The first player of a database, made when there is none yet. */
export async function somePlayer(db: Db, name = "Pianist"): Promise<Pianist> {
  const [first] = await pianistsHere(db);
  if (first) return first;
  const [made] = await db.insert(pianist).values({ name }).returning();
  return made!;
}
