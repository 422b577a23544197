import { z } from "zod";
import type { SurveyData } from "@/core/reach/survey";
import type { Db } from "@/db/client";
import { pianistById } from "@/db/queries/pianists";
import { pieceById } from "@/db/queries/pieces";
import { handsGiven, instrumentsData } from "../hands/hands";
import { musicOfWhole } from "../passages/music";
import type { Answer } from "../types";

export const SurveyAsked = z.object({ pieceId: z.uuid() });

/** A whole piece before the player's hands. */
export async function surveyData(db: Db, { pieceId }: z.infer<typeof SurveyAsked>): Promise<Answer<SurveyData>> {
  const piece = await pieceById(db, pieceId);
  if (!piece) return { ok: false, message: "This piece is not there any more." };
  const [{ passage, bars, tempo }, hands, [instrument], who] = await Promise.all([
    musicOfWhole(db, piece),
    handsGiven(db, piece.pianistId),
    instrumentsData(db, piece.pianistId),
    pianistById(db, piece.pianistId),
  ]);
  return {
    ok: true,
    value: {
      study: {
        passage,
        hands,
        octaveWidth: instrument!.octaveWidth,
        // What a hand can hold hardly depends on it.
        manner: { tempo, touch: "legato", pedal: false },
      },
      bars,
      allows: who!.allows,
    },
  };
}
