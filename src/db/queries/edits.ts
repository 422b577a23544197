import { and, asc, eq, inArray, sql } from "drizzle-orm";
import type { RuledOut } from "@/core/fingering/search/conditions";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import type { Finger } from "@/core/hand/finger";
import type { Db, Tx } from "../client";
import { edit, fingering, fingeringVersion, type editKind } from "../schema";
import { basisOf } from "./basis";
import { fingeringById, type FingeringKept } from "./fingerings";
import { isRepeated, lockPassage, setChangesAside } from "./history";

/** A change asked for, on the version that the page showed. */
export interface EditAsked {
  readonly id: string;
  readonly fingeringId: string;
  readonly onVersion: number;
  readonly kind: (typeof editKind.enumValues)[number];
  readonly noteId: NoteId;
  /** null lifts the pin. */
  readonly finger: Finger | null;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
}

/** What a version of a fingering holds. */
type State = Pick<FingeringKept, "digits" | "pins" | "ruledOut">;

/** Kept, or refused because the fingering has moved on; then as it stands is given back, and nothing is overwritten. */
export type EditKept =
  { readonly outcome: "kept" | "outdated"; readonly now: FingeringKept } | { readonly outcome: "gone" };

/** Keeps an edit as a new version. Sent twice, it is kept once; on an outdated version it is refused. */
export async function keepEdit(db: Db, asked: EditAsked): Promise<EditKept> {
  return db.transaction(async (tx) => {
    const now = await locked(tx, asked.fingeringId);
    if (!now) return { outcome: "gone" };
    const [known] = await tx.select({ id: edit.id }).from(edit).where(eq(edit.id, asked.id));
    if (known) return { outcome: "kept", now };
    if (now.version !== asked.onVersion) return { outcome: "outdated", now };
    await setUndoneAside(tx, now.id);
    await setChangesAside(tx, now.passageId);
    const after = await newVersion(tx, now, asked, await basisOf(tx, now.passageId));
    await tx.insert(edit).values({
      id: asked.id,
      fingeringId: now.id,
      order: await nextOrder(tx, now.id),
      kind: asked.kind,
      noteId: asked.noteId,
      finger: asked.finger,
      before: now.version,
      after,
    });
    return { outcome: "kept", now: (await fingeringById(tx, now.id))! };
  });
}

/** Digits worked out anew, on the version they were worked out from. */
export interface Followed {
  readonly id: string;
  readonly version: number;
  /** null where they stay as they are. */
  readonly digits: Fingering | null;
}

/**
 * Keeps digits that were worked out anew for a passage, outside its options' edit logs. Where the passage or an option has
 * moved on meanwhile, its digits are not written.
 * @param revision of the passage for which they were worked out
 * @returns whether all were written
 */
export async function keepFollowed(
  db: Db,
  passageId: string,
  revision: number,
  options: readonly Followed[],
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const passage = await lockPassage(tx, passageId);
    if (!passage) return true;
    if (passage.revision !== revision) return false;
    const basis = await basisOf(tx, passageId);
    let all = true;
    for (const { id, version, digits } of options) {
      const now = await fingeringById(tx, id);
      if (!now) continue;
      if (now.version !== version) {
        all = false;
        continue;
      }
      if (digits) await newVersion(tx, now, { ...now, digits }, basis);
      await tx.update(fingering).set({ follows: revision }).where(eq(fingering.id, id));
    }
    return all;
  });
}

/**
 * Gives the notes of all versions' newest state other names after the music itself has changed, outside the edit log;
 * earlier edits can no longer be walked back to, for they speak of notes that are not there any more.
 */
export async function renameNotes(
  tx: Tx,
  fingeringId: string,
  rename: (note: NoteId) => NoteId | undefined,
): Promise<void> {
  const now = await fingeringById(tx, fingeringId);
  if (!now) return;
  const renamed = <T>(given: Readonly<Record<NoteId, T>>): Readonly<Record<NoteId, T>> =>
    Object.fromEntries(
      (Object.entries(given) as [NoteId, T][]).flatMap(([id, value]) => {
        const to = rename(id);
        return to === undefined ? [] : [[to, value]];
      }),
    );
  const { digits, pins, ruledOut } = now;
  await newVersion(tx, now, { digits: renamed(digits), pins: renamed(pins), ruledOut: renamed(ruledOut) }, null);
  await tx
    .update(edit)
    .set({ state: "set-aside" })
    .where(and(eq(edit.fingeringId, fingeringId), inArray(edit.state, ["applied", "undone"])));
}

/** Where undo or redo leads: the state that it goes to, and whether its digits still hold. */
export interface WalkFound {
  readonly editId: string;
  readonly state: State;
  /** Whether the music, the hands and all that is asked are as they were when its digits were worked out. */
  readonly holds: boolean;
}

/** The state before the newest applied edit, or after the oldest undone one; null where there is none. */
export async function walkTo(
  db: Db,
  { id, passageId }: FingeringKept,
  way: "undo" | "redo",
): Promise<WalkFound | null> {
  const edits = await db
    .select()
    .from(edit)
    .where(and(eq(edit.fingeringId, id), inArray(edit.state, ["applied", "undone"])))
    .orderBy(asc(edit.order));
  const step = way === "undo" ? edits.findLast((e) => e.state === "applied") : edits.find((e) => e.state === "undone");
  if (!step) return null;
  const version = way === "undo" ? step.before : step.after;
  const [state] = await db
    .select()
    .from(fingeringVersion)
    .where(and(eq(fingeringVersion.fingeringId, id), eq(fingeringVersion.version, version)));
  if (!state) return null;
  return { editId: step.id, state, holds: state.basis !== null && state.basis === (await basisOf(db, passageId)) };
}

/**
 * Goes where undo or redo leads, with digits worked out beforehand where the old ones do not hold. Sent twice, it goes once.
 * @param asked.onVersion of the option for which the digits were worked out; on another it is refused
 */
export async function keepWalk(
  db: Db,
  asked: { readonly id: string; readonly fingeringId: string; readonly onVersion: number },
  way: "undo" | "redo",
  to: WalkFound,
  digits: Fingering,
): Promise<EditKept> {
  return db.transaction(async (tx) => {
    const now = await locked(tx, asked.fingeringId);
    if (!now) return { outcome: "gone" };
    if (await isRepeated(tx, asked.id)) return { outcome: "kept", now };
    if (now.version !== asked.onVersion) return { outcome: "outdated", now };
    await newVersion(tx, now, { ...to.state, digits }, await basisOf(tx, now.passageId));
    await tx
      .update(edit)
      .set({ state: way === "undo" ? "undone" : "applied" })
      .where(eq(edit.id, to.editId));
    return { outcome: "kept", now: (await fingeringById(tx, now.id))! };
  });
}

/** The fingering with its passage locked, so that changes come one after another. */
async function locked(tx: Tx, id: string): Promise<FingeringKept | null> {
  const [found] = await tx.select({ passageId: fingering.passageId }).from(fingering).where(eq(fingering.id, id));
  if (!found || !(await lockPassage(tx, found.passageId))) return null;
  return fingeringById(tx, id);
}

async function newVersion(
  tx: Tx,
  now: FingeringKept,
  { digits, pins, ruledOut }: State,
  basis: string | null,
): Promise<number> {
  const version = now.version + 1;
  await tx.insert(fingeringVersion).values({ fingeringId: now.id, version, digits, pins, ruledOut, basis });
  await tx.update(fingering).set({ version }).where(eq(fingering.id, now.id));
  return version;
}

async function setUndoneAside(tx: Tx, fingeringId: string): Promise<void> {
  await tx
    .update(edit)
    .set({ state: "set-aside" })
    .where(and(eq(edit.fingeringId, fingeringId), eq(edit.state, "undone")));
}

async function nextOrder(tx: Tx, fingeringId: string): Promise<number> {
  const [last] = await tx
    .select({ order: sql<number>`coalesce(max(${edit.order}), 0)::int` })
    .from(edit)
    .where(eq(edit.fingeringId, fingeringId));
  return (last?.order ?? 0) + 1;
}
