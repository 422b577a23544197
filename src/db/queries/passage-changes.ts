import { and, asc, desc, eq, sql } from "drizzle-orm";
import { isSame } from "@/core/merge";
import { mergedWishes, type FingeringWishes } from "@/core/options/asked/wishes";
import { mergedMarks, type PlanMarks } from "@/core/motion/marks/plan-marks";
import { mergedTaken, type Redistribution } from "@/core/passage/passage";
import type { Db, Tx } from "../client";
import { edit, fingering, passage, passageChange } from "../schema";
import { isRepeated, lockPassage, reviseInPlace, setChangesAside, setEditsAside } from "./history";

/** What a passage holds whole, and several windows may change at once. */
export interface Wholes {
  readonly wishes: FingeringWishes;
  readonly taken: Redistribution;
  readonly planMarks: PlanMarks;
}

export type What = keyof Wholes;

const MERGE: { readonly [W in What]: (before: Wholes[W], mine: Wholes[W], theirs: Wholes[W]) => Wholes[W] } = {
  wishes: mergedWishes,
  taken: mergedTaken,
  planMarks: mergedMarks,
};

/** What a whole was and what it is; the same where nothing has changed. */
export interface WholeChanged<W extends What> {
  readonly was: Wholes[W];
  readonly is: Wholes[W];
}

/**
 * Changes a whole in one step, so that no other change comes between, and writes it into the log. Sent twice, it is
 * changed once.
 * @param id of the request
 * @param change from where the window began to what it has made of it; what others changed meanwhile stays
 * @returns null where the passage is gone
 */
export async function changeWhole<W extends What>(
  db: Db,
  id: string,
  passageId: string,
  what: W,
  change: Readonly<Record<"before" | "after", Wholes[W]>>,
): Promise<WholeChanged<W> | null> {
  return db.transaction(async (tx) => {
    const found = await lockPassage(tx, passageId);
    if (!found) return null;
    const now: Wholes[W] = (found satisfies Wholes)[what];
    if (await isRepeated(tx, id)) return { was: now, is: now };
    const changed = await merged(tx, passageId, what, now, change);
    if (isSame(changed.was, changed.is)) return changed;
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

/** A change in the log. */
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
    .select({ place: edit.place })
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
  const isFirst = !own || (way === "undo" ? change.row.place > own.place : change.row.place < own.place);
  return isFirst ? change.row : null;
}

/**
 * Takes a change back, or makes it again; what was changed besides stays. Sent twice, it goes once, and so it does where
 * another window was first.
 * @param requestId of the request
 * @returns null where the passage is gone
 */
export async function walkChange<W extends What>(
  db: Db,
  requestId: string,
  { id, passageId, what }: LoggedChange & { readonly what: W },
  way: "undo" | "redo",
): Promise<WholeChanged<W> | null> {
  return db.transaction(async (tx) => {
    const passage = await lockPassage(tx, passageId);
    const [found] = await tx.select().from(passageChange).where(eq(passageChange.id, id));
    if (!passage || !found) return null;
    const now: Wholes[W] = (passage satisfies Wholes)[what];
    const isDone = found.state !== (way === "undo" ? "applied" : "undone");
    if ((await isRepeated(tx, requestId)) || isDone) return { was: now, is: now };
    const [before, after] = way === "undo" ? [found.after, found.before] : [found.before, found.after];
    const changed = await merged(tx, passageId, what, now, { before: before as Wholes[W], after: after as Wholes[W] });
    await tx
      .update(passageChange)
      .set({ state: way === "undo" ? "undone" : "applied" })
      .where(eq(passageChange.id, id));
    return changed;
  });
}

/** Whether options have something to follow: of the plan's marks only where the tune lies. */
export function bearsOnDigits<W extends What>({ was, is }: WholeChanged<W>, what: W): boolean {
  if (what !== "planMarks") return true;
  return !isSame((was as PlanMarks).tune, (is as PlanMarks).tune);
}

/** The log speaks of notes that are not there any more. */
export async function forgetChanges(tx: Tx, passageId: string): Promise<void> {
  await tx.update(passageChange).set({ state: "set-aside" }).where(eq(passageChange.passageId, passageId));
}

async function merged<W extends What>(
  tx: Tx,
  passageId: string,
  what: W,
  was: Wholes[W],
  { before, after }: Readonly<Record<"before" | "after", Wholes[W]>>,
): Promise<WholeChanged<W>> {
  const is = MERGE[what](before, after, was);
  if (isSame(was, is)) return { was, is: was };
  await tx
    .update(passage)
    .set({ [what]: is })
    .where(eq(passage.id, passageId));
  if (bearsOnDigits({ was, is }, what)) await reviseInPlace(tx, passageId);
  return { was, is };
}
