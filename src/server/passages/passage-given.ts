import type { StudyData } from "@/core/fingering/study/study-data";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Tune } from "@/core/passage/passage";
import type { Db } from "@/db/client";
import { fingeringsOf, type FingeringKept } from "@/db/queries/fingerings";
import { passageById, remediesOf } from "@/db/queries/passages";
import { pieceById, type PieceKept } from "@/db/queries/pieces";
import type { passage } from "@/db/schema";
import { handsGiven, instrumentsData } from "../hands/hands";
import { ownGiven } from "../hands/own-figures";
import { isUsual } from "@/core/hand/own";
import { musicOfPassage } from "./music";
import type { PassageMusic } from "../threads/scores";

/** A passage with everything that digits are worked out from, and its options. */
export interface PassageGiven {
  readonly passage: typeof passage.$inferSelect;
  readonly piece: PieceKept;
  readonly music: PassageMusic;
  readonly study: StudyData;
  readonly options: readonly FingeringKept[];
}

/** Where the player has marked the tune: every search, price and remedy knows it. */
function tuneIn({ tune }: PlanMarks): { readonly tune?: Tune } {
  return tune === null ? {} : { tune };
}

/**
 * Reads a passage; null where there is none. The passage is read first and its options last: what is worked out from it is
 * written only where neither has moved on.
 */
export async function passageGiven(db: Db, id: string): Promise<PassageGiven | null> {
  const found = await passageById(db, id);
  const piece = found && (await pieceById(db, found.pieceId));
  if (!found || !piece) return null;
  const music = await musicOfPassage(db, piece, found);
  if (!music.ok) return null;
  const [hands, [instrument], own, remedies, options] = await Promise.all([
    handsGiven(db, piece.pianistId),
    instrumentsData(db, piece.pianistId),
    ownGiven(db, piece.pianistId),
    remediesOf(db, id),
    fingeringsOf(db, id),
  ]);
  const { tempo, touch, pedal } = found;
  return {
    passage: found,
    piece,
    music: music.value,
    study: {
      passage: { ...music.value.passage, ...tuneIn(found.planMarks), remedies, taken: found.taken },
      hands,
      octaveWidth: instrument!.octaveWidth,
      manner: { tempo, touch, pedal },
      ...(isUsual(own) ? {} : { own }),
    },
    options,
  };
}
