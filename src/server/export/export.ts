import type { SignsShown } from "@/core/motion/marks/signs";
import type { Db } from "@/db/client";
import { fingeringById } from "@/db/queries/fingerings";
import { sourceOf } from "@/db/queries/pieces";
import { passageGiven } from "../passages/passage-given";
import { inThread } from "../threads/pool";

export interface Exported {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly type: string;
}

/** Which digits are written: all of them, or those that a pianist would write; see core/fingering/explain/in-doubt. */
export const DIGITS_WRITTEN = ["all", "doubt"] as const;
export type DigitsWritten = (typeof DIGITS_WRITTEN)[number];

/** Which signs are written: the player's own, or those of the hand plan as well. */

/** The file a piece came in, with an option's digits on the notes of its passage; null when there is no such option. */
export async function exportOption(
  db: Db,
  fingeringId: string,
  written: DigitsWritten = "all",
  signs: SignsShown = "own",
): Promise<Exported | null> {
  const option = await fingeringById(db, fingeringId);
  const given = option && (await passageGiven(db, option.passageId));
  if (!option || !given) return null;
  const { passage, piece, study } = given;
  const { bytes, isPacked } = await inThread("exportedFile", {
    source: await sourceOf(db, piece.id),
    partId: piece.partId,
    fromBar: passage.fromBar,
    toBar: passage.toBar,
    hands: passage.hands,
    study,
    digits: option.digits,
    pins: option.pins,
    planMarks: passage.planMarks,
    written,
    signs,
  });
  const stem = (piece.fileName ?? piece.title).replace(/\.(musicxml|mxl|xml|midi?)$/i, "");
  return {
    bytes,
    fileName: `${stem}, fingering ${option.name}.${isPacked ? "mxl" : "musicxml"}`,
    type: isPacked ? "application/vnd.recordare.musicxml" : "application/vnd.recordare.musicxml+xml",
  };
}
