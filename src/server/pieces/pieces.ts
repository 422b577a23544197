import { eq } from "drizzle-orm";
import { z } from "zod";
import type { Db } from "@/db/client";
import { allPassagesOf, pieceById } from "@/db/queries/pieces";
import { heard, piece } from "@/db/schema";
import { isMidi } from "@/formats/midi/open-midi";
import { musicOfPiece } from "../passages/music";
import { inThread, TooMuch } from "../threads/pool";
import type { Answer } from "../types";
import { hear } from "./heard";

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
  if (isMidi(file.bytes)) return importHeard(db, pianistId, file, recitalId);
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

/** Hears a file of keys and keeps the score that was heard, and the file as it came. */
async function importHeard(
  db: Db,
  pianistId: string,
  { name, bytes: midi }: { readonly name: string; readonly bytes: Uint8Array },
  recitalId: string | null,
): Promise<Answer<Imported>> {
  const called = titleFromName(name);
  const answer = await hear(db, pianistId, { midi, name: called, choices: {} });
  if (!answer.ok) return { ok: false, message: `${name}: ${answer.message}` };
  const { title, source, guessed, doubts, remarks } = answer.value;
  const pieceId = await db.transaction(async (tx) => {
    const [made] = await tx
      .insert(piece)
      .values({
        pianistId,
        recitalId,
        title: cleaned(title ?? "") || called,
        sourceKind: "file",
        fileName: cleaned(name) || "keys.mid",
        source,
        partId: HEARD_PART,
      })
      .returning({ id: piece.id });
    await tx.insert(heard).values({ pieceId: made!.id, midi, guessed, doubts });
    return made!.id;
  });
  return { ok: true, value: { pieceId, remarks } };
}

/** The one part of a score that we write ourselves. */
const HEARD_PART = "P1";

async function readOrRefused(source: Uint8Array) {
  try {
    return await inThread("readFile", { source });
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
    return { ok: false, message: "Reading it takes more time or memory than any score." } as const;
  }
}

function titleFromName(name: string): string {
  return cleaned(name.replace(/\.(musicxml|mxl|xml|midi?)$/i, "")) || "Untitled";
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
