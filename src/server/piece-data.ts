import type { Db } from "@/db/client";
import { piecesWithPassages, pieceById } from "@/db/queries/pieces";
import { wording } from "@/formats/issue";
import { excerpt } from "@/formats/musicxml/excerpt";
import { partRemarks } from "@/formats/musicxml/score";
import { readScore } from "@/formats/musicxml/open";
import { instrumentsData } from "./hands";
import { scoreOf } from "./scores";
import type { PieceData } from "./types";

/** Bars engraved on a piece's page at most; a hard spot is chosen by number beyond them. */
const MOST_ENGRAVED = 64;
/** Bars engraved first. */
const BEGINNING = 6;

/** What a piece's page shows; null when there is no such piece. */
export async function pieceData(db: Db, id: string): Promise<PieceData | null> {
  const piece = await pieceById(db, id);
  if (!piece) return null;
  const { score, part } = scoreOf(piece);
  const read = readScore(piece.source);
  const [instrument] = await instrumentsData(db, piece.pianistId);
  const listed = (await piecesWithPassages(db, piece.pianistId)).find((p) => p.id === id);
  return {
    id,
    title: piece.title,
    fileName: piece.fileName,
    entered: piece.entry !== null,
    staves: part.staves,
    tempo: part.tempo,
    bars: part.bars.map((bar) => bar.number),
    music: excerpt(score, part, 1, Math.min(MOST_ENGRAVED, part.bars.length)),
    beginning: excerpt(score, part, 1, Math.min(BEGINNING, part.bars.length)),
    remarks: [...partRemarks(score, part), ...read.issues.map(wording)],
    octaveWidth: instrument!.octaveWidth,
    passages: (listed?.passages ?? []).map(({ id: passageId, title, fromBar, toBar, hands }) => ({
      id: passageId,
      title,
      fromBar,
      toBar,
      hands,
    })),
  };
}
