import { z } from "zod";
import { judge } from "@/core/fingering/study/study";
import { stepsOf } from "@/core/fingering/study/steps";
import { studyOf } from "@/core/fingering/study/study-data";
import { mapOf } from "@/core/trials/map";
import { pieceMapOf, type PassageMapped } from "@/core/trials/piece-map";
import type { Db } from "@/db/client";
import { passagesOf, pieceById } from "@/db/queries/pieces";
import { ownTakesOf } from "@/db/queries/takes";
import { GONE } from "../gone";
import { musicOfPiece } from "../passages/music";
import { passagesGiven } from "../passages/passage-given";
import type { Answer, PieceMapData } from "../types";

export const PieceMapAsked = z.object({ pieceId: z.uuid() });

/** Strain, faults and tension felt over the bars of a whole piece, of the passages of it that were tried. */
export async function pieceMap(db: Db, { pieceId }: z.infer<typeof PieceMapAsked>): Promise<Answer<PieceMapData>> {
  const piece = await pieceById(db, pieceId);
  if (!piece) return GONE;
  const [music, passages] = await Promise.all([musicOfPiece(db, piece), passagesOf(db, pieceId)]);
  const takes = await ownTakesOf(
    db,
    passages.map(({ id }) => id),
  );
  const mapped: PassageMapped[] = [];
  const all = await passagesGiven(db, piece.pianistId, [...new Set(takes.map(({ passageId }) => passageId))]);
  for (const { id, title } of passages) {
    const own = takes.filter((take) => take.passageId === id);
    const given = all.get(id);
    if (!given) continue;
    const study = studyOf(given.study);
    const steps = stepsOf(study);
    // Each option's takes lie over its own prediction; the one tried most is the passage's.
    const tried = given.options.map((option) => ({ option, own: own.filter((t) => t.fingeringId === option.id) }));
    const [most] = tried.sort((a, b) => b.own.length - a.own.length);
    if (most) mapped.push({ id, title, map: mapOf(steps, judge(study, most.option.digits), own) });
  }
  return {
    ok: true,
    value: {
      bars: pieceMapOf(music.bars, mapped),
      passages: mapped.map(({ id, title, map }) => ({ id, title, takes: map.takes })),
    },
  };
}
