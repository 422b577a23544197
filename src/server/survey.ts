import { z } from "zod";
import type { SurveyData } from "@/core/reach/survey";
import type { Db } from "@/db/client";
import { pianistById } from "@/db/queries/pianists";
import { pieceById } from "@/db/queries/pieces";
import { passageFrom } from "@/formats/musicxml/passage";
import { handsGiven, instrumentsData } from "./hands";
import { scoreOf } from "./scores";
import type { Answer } from "./types";

export const SurveyAsked = z.object({ pieceId: z.uuid() });

/** Tempo that a survey takes where the file names none: what a hand can hold hardly depends on it. */
const USUAL_TEMPO = 96;

/** A whole piece before the player's hands. */
export async function surveyData(db: Db, { pieceId }: z.infer<typeof SurveyAsked>): Promise<Answer<SurveyData>> {
  const piece = await pieceById(db, pieceId);
  if (!piece) return { ok: false, message: "This piece is not there any more." };
  const { part } = scoreOf(piece);
  const [hands, [instrument], who] = await Promise.all([
    handsGiven(db, piece.pianistId),
    instrumentsData(db, piece.pianistId),
    pianistById(db, piece.pianistId),
  ]);
  return {
    ok: true,
    value: {
      study: {
        passage: passageFrom(part, 1, part.bars.length, "both"),
        hands,
        octaveWidth: instrument!.octaveWidth,
        manner: { tempo: part.tempo ?? USUAL_TEMPO, touch: "legato", pedal: false },
      },
      bars: part.bars.map(({ number, start }) => ({ number, start })),
      allows: who!.allows,
    },
  };
}
