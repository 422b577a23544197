import { and, asc, eq } from "drizzle-orm";
import { renamedMarks } from "@/core/motion/plan-marks";
import type { NoteId } from "@/core/passage/note";
import type { HandsTaken } from "@/core/passage/passage";
import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import type { Db } from "../client";
import { forgetChanges } from "./passage-changes";
import { noteMark, passage, practiceDay, verdictEvent } from "../schema";

export async function passageById(db: Db, id: string): Promise<typeof passage.$inferSelect | null> {
  const [found] = await db.select().from(passage).where(eq(passage.id, id));
  return found ?? null;
}

/** What the player has chosen to do with notes that cannot be held as written. */
export async function remediesOf(db: Db, passageId: string): Promise<NoteRemedies> {
  const rows = await db
    .select()
    .from(noteMark)
    .where(and(eq(noteMark.passageId, passageId), eq(noteMark.kind, "remedy")));
  return Object.fromEntries(rows.flatMap((row) => (row.remedy ? [[row.noteId, row.remedy]] : [])));
}

/** Keeps remedies for notes, or lifts those given as null, all together or not at all. */
export async function keepRemedies(
  db: Db,
  passageId: string,
  notes: Readonly<Record<string, NoteRemedy | null>>,
): Promise<void> {
  await db.transaction(async (tx) => {
    for (const [noteId, remedy] of Object.entries(notes)) {
      const same = and(eq(noteMark.passageId, passageId), eq(noteMark.noteId, noteId), eq(noteMark.kind, "remedy"));
      await tx.delete(noteMark).where(same);
      if (remedy) await tx.insert(noteMark).values({ passageId, noteId, kind: "remedy", remedy });
    }
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

export async function keepSharedMark(db: Db, passageId: string, noteId: string, marked: boolean): Promise<void> {
  const same = and(eq(noteMark.passageId, passageId), eq(noteMark.noteId, noteId), eq(noteMark.kind, "shared"));
  if (marked) await db.insert(noteMark).values({ passageId, noteId, kind: "shared" }).onConflictDoNothing();
  else await db.delete(noteMark).where(same);
}

/** What was decided, oldest first. */
export async function verdictEvents(db: Db, passageId: string): Promise<(typeof verdictEvent.$inferSelect)[]> {
  return db.select().from(verdictEvent).where(eq(verdictEvent.passageId, passageId)).orderBy(asc(verdictEvent.at));
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

/** Marks a day as one of practice, or takes the mark away. */
export async function keepPracticeDay(db: Db, passageId: string, day: string, practised: boolean): Promise<void> {
  if (practised) await db.insert(practiceDay).values({ passageId, day }).onConflictDoNothing();
  else await db.delete(practiceDay).where(and(eq(practiceDay.passageId, passageId), eq(practiceDay.day, day)));
}

export async function keepTempo(db: Db, passageId: string, tempo: number): Promise<void> {
  await db.update(passage).set({ tempo }).where(eq(passage.id, passageId));
}

/**
 * Everything of a passage that speaks of notes takes on their new names; what speaks of notes that are gone goes too.
 * Earlier changes of the whole can no longer be walked back to.
 */
export async function renameMarks(
  db: Db,
  passageId: string,
  rename: (note: NoteId) => NoteId | undefined,
): Promise<void> {
  const found = await passageById(db, passageId);
  if (!found) return;
  const taken = Object.fromEntries(
    (Object.entries(found.taken) as [NoteId, HandsTaken[NoteId]][]).flatMap(([id, side]) => {
      const to = rename(id);
      return to === undefined ? [] : [[to, side]];
    }),
  ) as HandsTaken;
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
