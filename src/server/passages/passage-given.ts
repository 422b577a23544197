import type { StudyData } from "@/core/fingering/study/study-data";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Tune } from "@/core/passage/passage";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Db } from "@/db/client";
import { fingeringsOf, fingeringsOfAll, type FingeringKept } from "@/db/queries/fingerings";
import { passageById, passagesWithPieces, remediesOf, remediesOfAll } from "@/db/queries/passages";
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
  const [player, remedies, options] = await Promise.all([
    playerGiven(db, piece.pianistId),
    remediesOf(db, id),
    fingeringsOf(db, id),
  ]);
  return given({ passage: found, piece, music: music.value, remedies, options }, player);
}

/**
 * Some passages of one player, each as passageGiven has it; what is not there any more is left out. However many they are, the
 * queries are as many; only the file of a piece whose music is not known yet is fetched besides.
 */
export async function passagesGiven(
  db: Db,
  pianistId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, PassageGiven>> {
  const [found, player, remedies, options] = await Promise.all([
    passagesWithPieces(db, ids),
    playerGiven(db, pianistId),
    remediesOfAll(db, ids),
    fingeringsOfAll(db, ids),
  ]);
  const all = await Promise.all(
    found.map(async ({ passage, piece }): Promise<readonly [string, PassageGiven] | null> => {
      const music = await musicOfPassage(db, piece, passage);
      if (!music.ok) return null;
      const own = options.filter(({ passageId }) => passageId === passage.id);
      const kept = { passage, piece, music: music.value, remedies: remedies.get(passage.id) ?? {}, options: own };
      return [passage.id, given(kept, player)];
    }),
  );
  return new Map(all.flatMap((one) => (one ? [one] : [])));
}

/** What every passage of a player is worked out with. */
async function playerGiven(db: Db, pianistId: string) {
  const [hands, [instrument], own] = await Promise.all([
    handsGiven(db, pianistId),
    instrumentsData(db, pianistId),
    ownGiven(db, pianistId),
  ]);
  return { hands, octaveWidth: instrument!.octaveWidth, own };
}

interface Kept extends Omit<PassageGiven, "study"> {
  readonly remedies: NoteRemedies;
}

function given(
  { remedies, ...kept }: Kept,
  { hands, octaveWidth, own }: Awaited<ReturnType<typeof playerGiven>>,
): PassageGiven {
  const { passage, music } = kept;
  const { tempo, touch, pedal } = passage;
  return {
    ...kept,
    study: {
      passage: { ...music.passage, ...tuneIn(passage.planMarks), remedies, taken: passage.taken },
      hands,
      octaveWidth,
      manner: { tempo, touch, pedal },
      ...(isUsual(own) ? {} : { own }),
    },
  };
}
