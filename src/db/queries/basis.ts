import { createHash } from "node:crypto";
import { and, desc, eq, isNull, sql } from "drizzle-orm";
import { SIDES } from "@/core/hand/finger";
import type { Db } from "../client";
import { ownFiguresInForce } from "./own-figures";
import { handMeasurement, instrument, noteMark, passage, piece, rest } from "../schema";

/**
 * A sum of everything that digits are worked out from: the music as it is played, what is asked of it, the hands and the
 * instrument. Digits of one basis hold as long as it does; on another they are worked out anew.
 * @returns "" where the passage is gone
 */
export async function basisOf(db: Db, passageId: string): Promise<string> {
  const [found] = await db
    .select({
      pianistId: piece.pianistId,
      sum: piece.sourceSum,
      part: piece.partId,
      from: passage.fromBar,
      to: passage.toBar,
      hands: passage.hands,
      taken: passage.taken,
      wishes: passage.wishes,
      tune: sql<unknown>`${passage.planMarks}->'tune'`,
      tempo: passage.tempo,
      touch: passage.touch,
      pedal: passage.pedal,
    })
    .from(passage)
    .innerJoin(piece, eq(passage.pieceId, piece.id))
    .where(eq(passage.id, passageId));
  if (!found) return "";
  const { pianistId, ...asked } = found;
  const remedies = await db
    .select({ note: noteMark.noteId, remedy: noteMark.remedy })
    .from(noteMark)
    .where(and(eq(noteMark.passageId, passageId), eq(noteMark.kind, "remedy")))
    .orderBy(noteMark.noteId);
  const hands = [];
  for (const side of SIDES) hands.push(await newestOf(db, pianistId, side));
  const rests = await db
    .select({ side: rest.side, fingers: rest.fingers, ended: rest.endedOn })
    .from(rest)
    .where(eq(rest.pianistId, pianistId));
  const resting = [
    ...new Set(rests.flatMap((r) => (r.ended === null ? r.fingers.map((f) => `${r.side} ${f}`) : []))),
  ].sort();
  const [width] = await db
    .select({ octaveWidth: instrument.octaveWidth })
    .from(instrument)
    .where(and(eq(instrument.pianistId, pianistId), isNull(instrument.goneAt)))
    .orderBy(desc(instrument.takenUpAt), desc(instrument.createdAt))
    .limit(1);
  // What a player's takes have shown is no part of what was worked out without it.
  const own = await ownFiguresInForce(db, pianistId);
  const figures = own ? [own.causes, own.movement] : [];
  return createHash("sha1")
    .update(JSON.stringify([asked, remedies, hands, resting, width, ...figures]))
    .digest("hex");
}

async function newestOf(db: Db, pianistId: string, side: (typeof SIDES)[number]) {
  const [newest] = await db
    .select({
      rulerSpan: handMeasurement.rulerSpan,
      pairs: handMeasurement.pairs,
      tipWidths: handMeasurement.tipWidths,
      behind: handMeasurement.behind,
      turnsEase: handMeasurement.turnsEase,
    })
    .from(handMeasurement)
    .where(
      and(eq(handMeasurement.pianistId, pianistId), eq(handMeasurement.side, side), isNull(handMeasurement.goneAt)),
    )
    .orderBy(desc(handMeasurement.measuredOn), desc(handMeasurement.createdAt))
    .limit(1);
  if (!newest) return null;
  // A figure that came later is no part of what was worked out without it.
  const { turnsEase, ...figures } = newest;
  return turnsEase === null ? figures : { ...figures, turnsEase };
}
