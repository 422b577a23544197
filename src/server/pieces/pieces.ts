import { eq } from "drizzle-orm";
import { z } from "zod";
import type { Db } from "@/db/client";
import { allPassagesOf, pieceById } from "@/db/queries/pieces";
import { piece } from "@/db/schema";
import { musicOfPiece } from "../passages/music";
import { inThread, TooMuch } from "../threads/pool";
import type { Answer } from "../types";

export interface Imported {
  readonly pieceId: string;
  /** What the reader remarked, in sentences. */
  readonly remarks: readonly string[];
}

/** Reads a file and keeps it as a piece, as it came. What cannot be read leaves nothing behind. */
export async function importPiece(
  db: Db,
  pianistId: string,
  file: { readonly name: string; readonly bytes: Uint8Array },
  recitalId: string | null = null,
): Promise<Answer<Imported>> {
  const read = await readOrRefused(file.bytes);
  if (!read.ok) return { ok: false, message: `${file.name}: ${read.message}` };
  const { title, partId, remarks } = read.value;
  const [made] = await db
    .insert(piece)
    .values({
      pianistId,
      recitalId,
      title: cleaned(title ?? "") || titleFromName(file.name),
      sourceKind: "file",
      fileName: cleaned(file.name) || "score.musicxml",
      source: file.bytes,
      partId,
    })
    .returning({ id: piece.id });
  return { ok: true, value: { pieceId: made!.id, remarks } };
}

async function readOrRefused(source: Uint8Array) {
  try {
    return await inThread("readFile", { source });
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
    return { ok: false, message: "Reading it takes more time or memory than any score." } as const;
  }
}

function titleFromName(name: string): string {
  return cleaned(name.replace(/\.(musicxml|mxl|xml)$/i, "")) || "Untitled";
}

/** A name out of a file as it can be kept: one line, without what cannot be seen, of at most 120 letters. */
function cleaned(name: string): string {
  return name
    .toWellFormed()
    .replace(/[\u0000-\u001f\u007f-\u009f]+/g, " ")
    .trim()
    .slice(0, 120)
    .toWellFormed();
}

export const PartAsked = z.object({ pieceId: z.uuid(), partId: z.string().min(1).max(200) });

/** Takes another part of a piece's file. Refused once passages speak of the notes of the one that was taken. */
export async function choosePart(
  db: Db,
  { pieceId, partId }: z.infer<typeof PartAsked>,
): Promise<Answer<{ partId: string }>> {
  const found = await pieceById(db, pieceId);
  if (!found) return { ok: false, message: "This piece is not there any more." };
  const { parts } = await musicOfPiece(db, found);
  if (!parts.some(({ id }) => id === partId)) return { ok: false, message: "The file has no such part." };
  if ((await allPassagesOf(db, pieceId)).length > 0)
    return { ok: false, message: "The piece has passages of this part. Bring the file in once more for another." };
  await db.update(piece).set({ partId }).where(eq(piece.id, pieceId));
  return { ok: true, value: { partId } };
}
