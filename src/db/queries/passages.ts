import { and, asc, eq, inArray, isNull } from "drizzle-orm";
import { renamedMarks } from "@/core/motion/marks/plan-marks";
import type { NoteId } from "@/core/passage/note";
import type { Redistribution } from "@/core/passage/passage";
import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import type { Db, Tx } from "../client";
import { isRepeated, lockPassage, reviseInPlace } from "./history";
import { forgetChanges } from "./passage-changes";
import { PIECE_WITHOUT_SOURCE } from "./pieces";
import { noteMark, passage, piece, practiceDay, verdictEvent } from "../schema";

export async function passageById(db: Db, id: string): Promise<typeof passage.$inferSelect | null> {
  const [found] = await db
    .select()
    .from(passage)
    .where(and(eq(passage.id, id), isNull(passage.goneAt)));
  return found ?? null;
}

/** Some passages, each with its piece without the file that came; what is gone is left out. */
export async function passagesWithPieces(db: Db, ids: readonly string[]) {
  if (ids.length === 0) return [];
  return db
    .select({ passage, piece: PIECE_WITHOUT_SOURCE })
    .from(passage)
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(and(inArray(passage.id, [...ids]), isNull(passage.goneAt), isNull(piece.goneAt)));
}

/** What the player has chosen to do with notes that cannot be held as written. */
export async function remediesOf(db: Db, passageId: string): Promise<NoteRemedies> {
  return (await remediesOfAll(db, [passageId])).get(passageId) ?? {};
}

/** The same of some passages, in one query; nothing for a passage that has none. */
export async function remediesOfAll(db: Db, passages: readonly string[]): Promise<ReadonlyMap<string, NoteRemedies>> {
  if (passages.length === 0) return new Map();
  const rows = await db
    .select()
    .from(noteMark)
    .where(and(inArray(noteMark.passageId, [...passages]), eq(noteMark.kind, "remedy")));
  const all = new Map<string, Record<string, NoteRemedies[NoteId]>>();
  for (const { passageId, noteId, remedy } of rows) {
    if (!remedy) continue;
    const own = all.get(passageId) ?? {};
    own[noteId] = remedy;
    all.set(passageId, own);
  }
  return all;
}

/**
 * Keeps remedies for notes, or lifts those given as null, all together or not at all. Sent twice, they are kept once.
 * @param id of the request
 * @returns whether the passage is there
 */
export async function keepRemedies(
  db: Db,
  id: string,
  passageId: string,
  notes: Readonly<Record<string, NoteRemedy | null>>,
): Promise<boolean> {
  return db.transaction(async (tx) => {
    if (!(await lockPassage(tx, passageId))) return false;
    if (await isRepeated(tx, id)) return true;
    for (const [noteId, remedy] of Object.entries(notes)) {
      const same = and(eq(noteMark.passageId, passageId), eq(noteMark.noteId, noteId), eq(noteMark.kind, "remedy"));
      await tx.delete(noteMark).where(same);
      if (remedy) await tx.insert(noteMark).values({ passageId, noteId, kind: "remedy", remedy });
    }
    await reviseInPlace(tx, passageId);
    return true;
  });
}

/** Notes that the other hand may take. */
export async function sharedMarks(db: Db, passageId: string): Promise<readonly NoteId[]> {
  const rows = await db
    .select()
    .from(noteMark)
    .where(and(eq(noteMark.passageId, passageId), eq(noteMark.kind, "shared")));
  return rows.map((row) => row.noteId as NoteId);
}

/** Marks a note that the other hand may take, or takes the mark away. Sent twice, it is done once. */
export async function keepSharedMark(
  db: Db,
  id: string,
  passageId: string,
  noteId: string,
  marked: boolean,
): Promise<void> {
  await db.transaction(async (tx) => {
    if (await isRepeated(tx, id)) return;
    const same = and(eq(noteMark.passageId, passageId), eq(noteMark.noteId, noteId), eq(noteMark.kind, "shared"));
    if (marked) await tx.insert(noteMark).values({ passageId, noteId, kind: "shared" }).onConflictDoNothing();
    else await tx.delete(noteMark).where(same);
  });
}

/** What was decided, oldest first. */
export async function verdictEvents(db: Db, passageId: string): Promise<(typeof verdictEvent.$inferSelect)[]> {
  return db.select().from(verdictEvent).where(eq(verdictEvent.passageId, passageId)).orderBy(asc(verdictEvent.place));
}

/** The days on which a passage was practised, oldest first. */
export async function practiceDays(db: Db, passageId: string): Promise<readonly string[]> {
  const rows = await db
    .select({ day: practiceDay.day })
    .from(practiceDay)
    .where(eq(practiceDay.passageId, passageId))
    .orderBy(asc(practiceDay.day));
  return rows.map((row) => row.day);
}

/** What was decided about all passages of a player, and when they were practised, in two queries. */
export async function standingsOf(db: Db, pianistId: string) {
  const own = db
    .select({ id: passage.id })
    .from(passage)
    .innerJoin(piece, eq(passage.pieceId, piece.id))
    .where(eq(piece.pianistId, pianistId));
  const [events, days] = await Promise.all([
    db.select().from(verdictEvent).where(inArray(verdictEvent.passageId, own)).orderBy(asc(verdictEvent.place)),
    db.select().from(practiceDay).where(inArray(practiceDay.passageId, own)).orderBy(asc(practiceDay.day)),
  ]);
  return { events, days };
}

/** Marks a day as one of practice, or takes the mark away. Sent twice, it is done once. */
export async function keepPracticeDay(
  db: Db,
  id: string,
  passageId: string,
  day: string,
  practised: boolean,
): Promise<void> {
  await db.transaction(async (tx) => {
    if (await isRepeated(tx, id)) return;
    if (practised) await tx.insert(practiceDay).values({ passageId, day }).onConflictDoNothing();
    else await tx.delete(practiceDay).where(and(eq(practiceDay.passageId, passageId), eq(practiceDay.day, day)));
  });
}

/** Gives a passage another target tempo. Sent twice, it is done once. Returns whether the passage is there. */
export async function keepTempo(db: Db, id: string, passageId: string, tempo: number): Promise<boolean> {
  return db.transaction(async (tx) => {
    const found = await lockPassage(tx, passageId);
    if (!found) return false;
    if (found.tempo === tempo || (await isRepeated(tx, id))) return true;
    await tx.update(passage).set({ tempo }).where(eq(passage.id, passageId));
    await reviseInPlace(tx, passageId);
    return true;
  });
}

/**
 * Everything of a passage that speaks of notes takes on their new names; what speaks of notes that are gone goes too.
 * Earlier changes of the whole can no longer be walked back to.
 */
export async function renameMarks(
  db: Tx,
  passageId: string,
  rename: (note: NoteId) => NoteId | undefined,
): Promise<void> {
  const [found] = await db.select().from(passage).where(eq(passage.id, passageId));
  if (!found) return;
  const taken = Object.fromEntries(
    (Object.entries(found.taken) as [NoteId, Redistribution[NoteId]][]).flatMap(([id, side]) => {
      const to = rename(id);
      return to === undefined ? [] : [[to, side]];
    }),
  ) as Redistribution;
  const ties = (found.wishes.ties ?? []).flatMap(({ notes, returns }) => {
    const renamed = notes.map(rename);
    if (renamed.some((id) => id === undefined)) return [];
    return [
      {
        notes: renamed as NoteId[],
        returns: returns.map((r) => r.map((id) => (id === null ? null : (rename(id) ?? null)))),
      },
    ];
  });
  await db
    .update(passage)
    .set({ taken, wishes: { ...found.wishes, ties }, planMarks: renamedMarks(found.planMarks, rename) })
    .where(eq(passage.id, passageId));
  await forgetChanges(db, passageId);
  const marks = await db.select().from(noteMark).where(eq(noteMark.passageId, passageId));
  await db.delete(noteMark).where(eq(noteMark.passageId, passageId));
  const renamed = marks.flatMap((mark) => {
    const to = rename(mark.noteId as NoteId);
    return to === undefined ? [] : [{ ...mark, noteId: to as string }];
  });
  if (renamed.length > 0) await db.insert(noteMark).values(renamed).onConflictDoNothing();
}
