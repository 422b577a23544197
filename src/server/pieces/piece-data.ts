import { doubtfulNotes } from "@/core/transcription/doubtful-notes";
import type { Db } from "@/db/client";
import { passagesOf, pieceById } from "@/db/queries/pieces";
import { recitals } from "@/db/queries/pianists";
import { instrumentsData } from "../hands/hands";
import { musicOfPiece, musicOfWhole } from "../passages/music";
import type { PieceData } from "../types";
import { heardData } from "./heard";

/** What a piece's page shows; null when there is no such piece. */
export async function pieceData(db: Db, id: string): Promise<PieceData | null> {
  const piece = await pieceById(db, id);
  if (!piece) return null;
  const [music, [instrument], passages, dates, heard] = await Promise.all([
    musicOfPiece(db, piece),
    instrumentsData(db, piece.pianistId),
    passagesOf(db, id),
    recitals(db, piece.pianistId),
    heardData(db, id),
  ]);
  return {
    ...music,
    id,
    title: piece.title,
    fileName: piece.fileName,
    heard,
    doubtful: heard === null ? [] : doubtfulNotes(heard.doubts, (await musicOfWhole(db, piece)).passage.notes),
    entered: piece.entry !== null,
    octaveWidth: instrument!.octaveWidth,
    recitalId: dates.find((date) => date.id === piece.recitalId)?.id ?? null,
    recitals: dates.map(({ id: recitalId, title, heldOn }) => ({ id: recitalId, title, heldOn })),
    passages: passages.map(({ id: passageId, title, fromBar, toBar, hands }) => ({
      id: passageId,
      title,
      from: music.bars[fromBar - 1] ?? String(fromBar),
      to: music.bars[toBar - 1] ?? String(toBar),
      hands,
    })),
  };
}
