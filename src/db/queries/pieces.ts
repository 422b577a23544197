import { asc, eq } from "drizzle-orm";
import type { Db } from "../client";
import { passage, piece, recital } from "../schema";

/** A piece without its source. */
export interface PieceListed {
  readonly id: string;
  readonly title: string;
  readonly fileName: string | null;
  readonly recital: { readonly title: string; readonly heldOn: string } | null;
  readonly passages: readonly (typeof passage.$inferSelect)[];
}

/** All pieces of a player with their passages, by title. */
export async function piecesWithPassages(db: Db, pianistId: string): Promise<readonly PieceListed[]> {
  const pieces = await db
    .select({
      id: piece.id,
      title: piece.title,
      fileName: piece.fileName,
      recital: { title: recital.title, heldOn: recital.heldOn },
    })
    .from(piece)
    .leftJoin(recital, eq(piece.recitalId, recital.id))
    .where(eq(piece.pianistId, pianistId))
    .orderBy(asc(piece.createdAt), asc(piece.title));
  const passages = await db
    .select({ passage })
    .from(passage)
    .innerJoin(piece, eq(passage.pieceId, piece.id))
    .where(eq(piece.pianistId, pianistId))
    .orderBy(asc(passage.fromBar), asc(passage.createdAt));
  return pieces.map((p) => ({
    ...p,
    passages: passages.filter((row) => row.passage.pieceId === p.id).map((row) => row.passage),
  }));
}

export async function pieceById(db: Db, id: string): Promise<typeof piece.$inferSelect | null> {
  const [found] = await db.select().from(piece).where(eq(piece.id, id));
  return found ?? null;
}

/** The passages of a piece, oldest first. */
export async function passagesOf(db: Db, pieceId: string): Promise<readonly (typeof passage.$inferSelect)[]> {
  return db.select().from(passage).where(eq(passage.pieceId, pieceId)).orderBy(asc(passage.createdAt));
}
