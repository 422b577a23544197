import { and, asc, desc, eq, inArray, sql } from "drizzle-orm";
import { isSame } from "@/core/merge";
import { mergedWishes, type FingeringWishes } from "@/core/fingering/wishes";
import { mergedMarks, type PlanMarks } from "@/core/motion/plan-marks";
import { mergedTaken, type HandsTaken } from "@/core/passage/passage";
import type { Db, Tx } from "../client";
import { edit, fingering, passage, passageChange } from "../schema";

/** What a passage holds whole, and several windows may change at once. */
export interface Wholes {
  readonly wishes: FingeringWishes;
  readonly taken: HandsTaken;
  readonly planMarks: PlanMarks;
}

export type What = keyof Wholes;

const MERGE: { readonly [W in What]: (before: Wholes[W], mine: Wholes[W], theirs: Wholes[W]) => Wholes[W] } = {
  wishes: mergedWishes,
  taken: mergedTaken,
  planMarks: mergedMarks,
};

/** What a whole was and what it is; the same where nothing has changed. */
export interface Changed<W extends What> {
  readonly was: Wholes[W];
  readonly is: Wholes[W];
}

/**
 * Changes a whole in one step, so that no other change comes between, and writes it into the log.
 * @param change from where the window began to what it has made of it; what others changed meanwhile stays
 * @returns null where the passage is gone
 */
export async function changeWhole<W extends What>(
  db: Db,
  passageId: string,
  what: W,
  change: Readonly<Record<"before" | "after", Wholes[W]>>,
): Promise<Changed<W> | null> {
  return db.transaction(async (tx) => {
    const changed = await merged(tx, passageId, what, change);
    if (!changed || isSame(changed.was, changed.is)) return changed;
    await setChangesAside(tx, passageId);
    if (what !== "planMarks") await setEditsAside(tx, passageId);
    const [last] = await tx
      .select({ order: sql<number>`coalesce(max(${passageChange.order}), 0)::int` })
      .from(passageChange)
      .where(eq(passageChange.passageId, passageId));
    const { was: before, is: after } = changed;
    await tx.insert(passageChange).values({ passageId, order: last!.order + 1, what, before, after });
    return changed;
  });
}

/** A change in the log, with the moment it was made. */
export interface LoggedChange {
  readonly id: string;
  readonly passageId: string;
  readonly what: What;
}

/**
 * The change of a fingering's passage that undo or redo comes to next; null where there is none, or an edit of the
 * fingering itself comes first: undo takes back what was done last of both, redo does again what was done first.
 */
export async function changeToWalk(db: Db, fingeringId: string, way: "undo" | "redo"): Promise<LoggedChange | null> {
  const state = way === "undo" ? "applied" : "undone";
  const by = way === "undo" ? desc : asc;
  const [own] = await db
    .select({ at: edit.createdAt })
    .from(edit)
    .where(and(eq(edit.fingeringId, fingeringId), eq(edit.state, state)))
    .orderBy(by(edit.order))
    .limit(1);
  const [change] = await db
    .select({ row: passageChange })
    .from(passageChange)
    .innerJoin(fingering, eq(fingering.passageId, passageChange.passageId))
    .where(and(eq(fingering.id, fingeringId), eq(passageChange.state, state)))
    .orderBy(by(passageChange.order))
    .limit(1);
  if (!change) return null;
  const isFirst = !own || (way === "undo" ? change.row.createdAt >= own.at : change.row.createdAt <= own.at);
  return isFirst ? change.row : null;
}

/** Takes a change back, or makes it again; what was changed besides stays. null where the passage is gone. */
export async function walkChange<W extends What>(
  db: Db,
  { id, passageId, what }: LoggedChange & { readonly what: W },
  way: "undo" | "redo",
): Promise<Changed<W> | null> {
  return db.transaction(async (tx) => {
    const [found] = await tx.select().from(passageChange).where(eq(passageChange.id, id));
    if (!found) return null;
    const [before, after] = way === "undo" ? [found.after, found.before] : [found.before, found.after];
    const changed = await merged(tx, passageId, what, { before: before as Wholes[W], after: after as Wholes[W] });
    await tx
      .update(passageChange)
      .set({ state: way === "undo" ? "undone" : "applied" })
      .where(eq(passageChange.id, id));
    return changed;
  });
}

/** How many changes of a passage can be undone and redone. */
export async function changesOf(
  db: Db | Tx,
  passageId: string,
): Promise<{ readonly undoable: number; readonly redoable: number }> {
  const [counts] = await db
    .select({
      undoable: sql<number>`count(*) filter (where ${passageChange.state} = 'applied')::int`,
      redoable: sql<number>`count(*) filter (where ${passageChange.state} = 'undone')::int`,
    })
    .from(passageChange)
    .where(eq(passageChange.passageId, passageId));
  return counts ?? { undoable: 0, redoable: 0 };
}

/** What was undone of a passage can no longer be done again once something else is done. */
export async function setChangesAside(tx: Tx, passageId: string): Promise<void> {
  await tx
    .update(passageChange)
    .set({ state: "set-aside" })
    .where(and(eq(passageChange.passageId, passageId), eq(passageChange.state, "undone")));
}

/** Edits that were undone cannot be done again once all fingerings are asked something else. */
async function setEditsAside(tx: Tx, passageId: string): Promise<void> {
  const own = tx.select({ id: fingering.id }).from(fingering).where(eq(fingering.passageId, passageId));
  await tx
    .update(edit)
    .set({ state: "set-aside" })
    .where(and(inArray(edit.fingeringId, own), eq(edit.state, "undone")));
}

/** The log speaks of notes that are not there any more. */
export async function forgetChanges(db: Db, passageId: string): Promise<void> {
  await db.update(passageChange).set({ state: "set-aside" }).where(eq(passageChange.passageId, passageId));
}

async function merged<W extends What>(
  tx: Tx,
  passageId: string,
  what: W,
  { before, after }: Readonly<Record<"before" | "after", Wholes[W]>>,
): Promise<Changed<W> | null> {
  const [found] = await tx.select().from(passage).where(eq(passage.id, passageId)).for("update");
  if (!found) return null;
  const was: Wholes[W] = (found satisfies Wholes)[what];
  const is = MERGE[what](before, after, was);
  await tx
    .update(passage)
    .set({ [what]: is })
    .where(eq(passage.id, passageId));
  return { was, is };
}
