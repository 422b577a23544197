import { and, asc, eq, getTableColumns, isNull } from "drizzle-orm";
import type { Db, Tx } from "../client";
import { passage, piece, recital } from "../schema";

/** A piece without its source. */
export interface PieceListed {
  readonly id: string;
  readonly title: string;
  readonly fileName: string | null;
  readonly recital: { readonly title: string; readonly heldOn: string } | null;
  readonly passages: readonly (typeof passage.$inferSelect)[];
}

/** All pieces of a player with their passages, by the order in which they came. */
export async function piecesWithPassages(db: Db, pianistId: string): Promise<readonly PieceListed[]> {
  const pieces = await db
    .select({
      id: piece.id,
      title: piece.title,
      fileName: piece.fileName,
      recital: { title: recital.title, heldOn: recital.heldOn },
    })
    .from(piece)
    .leftJoin(recital, and(eq(piece.recitalId, recital.id), isNull(recital.goneAt), isNull(recital.endedAt)))
    .where(and(eq(piece.pianistId, pianistId), isNull(piece.goneAt)))
    .orderBy(asc(piece.createdAt), asc(piece.title));
  const passages = await db
    .select({ passage })
    .from(passage)
    .innerJoin(piece, eq(passage.pieceId, piece.id))
    .where(and(eq(piece.pianistId, pianistId), isNull(passage.goneAt)))
    .orderBy(asc(passage.fromBar), asc(passage.createdAt));
  const byPiece = new Map<string, (typeof passage.$inferSelect)[]>();
  for (const { passage: one } of passages) {
    const known = byPiece.get(one.pieceId);
    if (known) known.push(one);
    else byPiece.set(one.pieceId, [one]);
  }
  return pieces.map((p) => ({ ...p, passages: byPiece.get(p.id) ?? [] }));
}

/** Every column of a piece but the file that it came in. */
export const PIECE_WITHOUT_SOURCE = omitted(getTableColumns(piece));

function omitted({ source, ...others }: ReturnType<typeof getTableColumns<typeof piece>>) {
  void source;
  return others;
}

/** A piece without the file it came in, which may be large. */
export type PieceKept = Omit<typeof piece.$inferSelect, "source">;

export async function pieceById(db: Db, id: string): Promise<PieceKept | null> {
  const [found] = await db
    .select(PIECE_WITHOUT_SOURCE)
    .from(piece)
    .where(and(eq(piece.id, id), isNull(piece.goneAt)));
  return found ?? null;
}

/** A piece, locked until the end of a transaction. */
export async function lockPiece(tx: Tx, id: string): Promise<PieceKept | null> {
  const [found] = await tx.select(PIECE_WITHOUT_SOURCE).from(piece).where(eq(piece.id, id)).for("update");
  return found ?? null;
}

/** The file that a piece came in. @throws Error where the piece is gone */
export async function sourceOf(db: Db, id: string): Promise<Uint8Array> {
  const [found] = await db.select({ source: piece.source }).from(piece).where(eq(piece.id, id));
  if (!found) throw new Error(`There is no piece ${id}.`);
  return found.source;
}

/** All passages of a piece, those among them that were taken away and may come back. */
export async function allPassagesOf(db: Db, pieceId: string): Promise<readonly (typeof passage.$inferSelect)[]> {
  return db.select().from(passage).where(eq(passage.pieceId, pieceId));
}

/** The passages of a piece, oldest first. */
export async function passagesOf(db: Db, pieceId: string): Promise<readonly (typeof passage.$inferSelect)[]> {
  return db
    .select()
    .from(passage)
    .where(and(eq(passage.pieceId, pieceId), isNull(passage.goneAt)))
    .orderBy(asc(passage.createdAt));
}
