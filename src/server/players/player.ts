import { eq } from "drizzle-orm";
import type { Db } from "@/db/client";
import { pianistsHere, type Pianist } from "@/db/queries/pianists";
import { pianist } from "@/db/schema";

/** A player who is here: the one named, or else the first; null where there is none. */
export async function player(db: Db, named: string | null = null): Promise<Pianist | null> {
  const here = await pianistsHere(db);
  return here.find(({ id }) => id === named) ?? here[0] ?? null;
}

/** Whether a player is there who has not been taken away. */
export async function isHere(db: Db, id: string): Promise<boolean> {
  const [found] = await db.select({ goneAt: pianist.goneAt }).from(pianist).where(eq(pianist.id, id));
  return found !== undefined && found.goneAt === null;
}

/** What is answered where the player of a request is not there. */
export const NOBODY = { ok: false, message: "This player is not there any more." } as const;
