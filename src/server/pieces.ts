import type { Db } from "@/db/client";
import { piece } from "@/db/schema";
import { wording } from "@/formats/issue";
import { readScore } from "@/formats/musicxml/open";
import { pianoPart } from "@/formats/musicxml/score";
import type { Answer } from "./types";

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
  const read = readScore(file.bytes);
  if (!read.ok) return { ok: false, message: `${file.name}: ${read.issues.map(wording).join(" ")}` };
  const [made] = await db
    .insert(piece)
    .values({
      pianistId,
      recitalId,
      title: read.value.title ?? titleFromName(file.name),
      sourceKind: "file",
      fileName: file.name,
      source: file.bytes,
      partId: pianoPart(read.value).id,
    })
    .returning({ id: piece.id });
  return { ok: true, value: { pieceId: made!.id, remarks: read.issues.map(wording) } };
}

function titleFromName(name: string): string {
  return name.replace(/\.(musicxml|mxl|xml)$/i, "").trim() || "Untitled";
}
