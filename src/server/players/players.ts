import { count, isNull } from "drizzle-orm";
import { z } from "zod";
import type { Db } from "@/db/client";
import { demoPianist, pianistsHere } from "@/db/queries/pianists";
import { piece } from "@/db/schema";
import type { PlayerData } from "../types";

/** Everyone who plays here, in the order in which they came. Its queries do not grow with players. */
export async function playersData(db: Db): Promise<readonly PlayerData[]> {
  const [here, counted] = await Promise.all([
    pianistsHere(db),
    db
      .select({ id: piece.pianistId, pieces: count() })
      .from(piece)
      .where(isNull(piece.goneAt))
      .groupBy(piece.pianistId),
  ]);
  const pieces = new Map(counted.map((row) => [row.id, row.pieces]));
  return here.map(({ id, name, isDemo }) => ({ id, name, isDemo, pieces: pieces.get(id) ?? 0 }));
}

/** The id of the demo's player where they were taken away; null where they are here, or were never loaded. */
export async function demoAway(db: Db): Promise<string | null> {
  const demo = await demoPianist(db);
  return demo?.goneAt ? demo.id : null;
}

export const TurnAsked = z.object({ playerId: z.uuid() });
