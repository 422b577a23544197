import { and, asc, eq, inArray, sql } from "drizzle-orm";
import type { RuledOut } from "@/core/fingering/conditions";
import type { LeaningId } from "@/core/fingering/leanings";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { NoteId } from "@/core/passage/note";
import type { Finger } from "@/core/hand/finger";
import type { Db, Tx } from "../client";
import { changesOf, setChangesAside } from "./passage-changes";
import { edit, fingering, fingeringVersion, type editKind, type origin } from "../schema";

/** A fingering as it stands. */
export interface FingeringKept {
  readonly id: string;
  readonly passageId: string;
  readonly name: string;
  readonly origin: (typeof origin.enumValues)[number];
  readonly leaning: LeaningId;
  readonly author: string | null;
  readonly version: number;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
  /** Its digits when it was made. */
  readonly first: Fingering;
  /** How many edits of it, and changes of its passage, can be undone and redone from here. */
  readonly undoable: number;
  readonly redoable: number;
}

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
export type Kept =
  { readonly outcome: "kept" | "outdated"; readonly now: FingeringKept } | { readonly outcome: "gone" };

export async function fingeringsOf(db: Db | Tx, passageId: string): Promise<readonly FingeringKept[]> {
  const rows = await db
    .select({ id: fingering.id })
    .from(fingering)
    .where(eq(fingering.passageId, passageId))
    .orderBy(asc(fingering.name));
  return Promise.all(rows.map(async ({ id }) => (await fingeringById(db, id))!));
}

/** The letters of a passage's options by their ids. */
export async function fingeringNames(db: Db | Tx, passageId: string): Promise<ReadonlyMap<string, string>> {
  const rows = await db
    .select({ id: fingering.id, name: fingering.name })
    .from(fingering)
    .where(eq(fingering.passageId, passageId));
  return new Map(rows.map(({ id, name }) => [id, name]));
}

export async function fingeringById(db: Db | Tx, id: string): Promise<FingeringKept | null> {
  const [found] = await db
    .select()
    .from(fingering)
    .innerJoin(
      fingeringVersion,
      and(eq(fingeringVersion.fingeringId, fingering.id), eq(fingeringVersion.version, fingering.version)),
    )
    .where(eq(fingering.id, id));
  if (!found) return null;
  const [counts] = await db
    .select({
      undoable: sql<number>`count(*) filter (where ${edit.state} = 'applied')::int`,
      redoable: sql<number>`count(*) filter (where ${edit.state} = 'undone')::int`,
    })
    .from(edit)
    .where(eq(edit.fingeringId, id));
  const [made] = await db
    .select({ digits: fingeringVersion.digits })
    .from(fingeringVersion)
    .where(and(eq(fingeringVersion.fingeringId, id), eq(fingeringVersion.version, 1)));
  const { passageId, name, origin, leaning, author, version } = found.fingering;
  const { digits, pins, ruledOut } = found.fingering_version;
  const whole = await changesOf(db, passageId);
  return {
    id,
    passageId,
    name,
    origin,
    leaning,
    author,
    version,
    digits,
    pins,
    ruledOut,
    first: made?.digits ?? digits,
    undoable: (counts?.undoable ?? 0) + whole.undoable,
    redoable: (counts?.redoable ?? 0) + whole.redoable,
  };
}

export type NewFingering = Pick<FingeringKept, "name" | "origin" | "leaning" | "digits" | "pins"> & {
  readonly author?: string | null;
};

/** Keeps new options of a passage; those whose name is taken already are left as they are. */
export async function addFingerings(
  db: Db,
  passageId: string,
  options: readonly NewFingering[],
): Promise<readonly FingeringKept[]> {
  return db.transaction(async (tx) => {
    for (const { name, origin, leaning, author = null, digits, pins } of options) {
      const [made] = await tx
        .insert(fingering)
        .values({ passageId, name, origin, leaning, author, version: 1 })
        .onConflictDoNothing()
        .returning();
      if (made) await tx.insert(fingeringVersion).values({ fingeringId: made.id, version: 1, digits, pins });
    }
    return fingeringsOf(tx, passageId);
  });
}

/** Keeps an edit as a new version. Sent twice, it is kept once; on an outdated version it is refused. */
export async function keepEdit(db: Db, asked: EditAsked): Promise<Kept> {
  return db.transaction(async (tx) => {
    const now = await locked(tx, asked.fingeringId);
    if (!now) return { outcome: "gone" };
    const [known] = await tx.select().from(edit).where(eq(edit.id, asked.id));
    if (known) return { outcome: "kept", now };
    if (now.version !== asked.onVersion) return { outcome: "outdated", now };
    await setAsideUndone(tx, now.id);
    await setChangesAside(tx, now.passageId);
    const after = await newVersion(tx, now, asked);
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

/** Gives a fingering other digits around the same pins, outside its edit log: the passage or the hands have changed. */
export async function rework(db: Db, fingeringId: string, digits: Fingering): Promise<void> {
  await db.transaction(async (tx) => {
    const now = await locked(tx, fingeringId);
    if (now) await newVersion(tx, now, { ...now, digits });
  });
}

/**
 * Gives the notes of all versions' newest state other names after the music itself has changed, outside the edit log;
 * earlier edits can no longer be walked back to, for they speak of notes that are not there any more.
 */
export async function renameNotes(
  tx: Db | Tx,
  fingeringId: string,
  rename: (note: NoteId) => NoteId | undefined,
): Promise<void> {
  const now = await locked(tx as Tx, fingeringId);
  if (!now) return;
  const renamed = <T>(given: Readonly<Record<NoteId, T>>): Readonly<Record<NoteId, T>> =>
    Object.fromEntries(
      (Object.entries(given) as [NoteId, T][]).flatMap(([id, value]) => {
        const to = rename(id);
        return to === undefined ? [] : [[to, value]];
      }),
    );
  const { digits, pins, ruledOut } = now;
  await newVersion(tx as Tx, now, { digits: renamed(digits), pins: renamed(pins), ruledOut: renamed(ruledOut) });
  await tx
    .update(edit)
    .set({ state: "set-aside" })
    .where(and(eq(edit.fingeringId, fingeringId), inArray(edit.state, ["applied", "undone"])));
}

/** Goes back before the newest applied edit, or forward over the oldest undone one; does nothing when there is none. */
export async function walk(db: Db, fingeringId: string, onVersion: number, way: "undo" | "redo"): Promise<Kept> {
  return db.transaction(async (tx) => {
    const now = await locked(tx, fingeringId);
    if (!now) return { outcome: "gone" };
    if (now.version !== onVersion) return { outcome: "outdated", now };
    const edits = await tx
      .select()
      .from(edit)
      .where(and(eq(edit.fingeringId, fingeringId), inArray(edit.state, ["applied", "undone"])))
      .orderBy(asc(edit.order));
    const step =
      way === "undo" ? edits.findLast((e) => e.state === "applied") : edits.find((e) => e.state === "undone");
    if (!step) return { outcome: "kept", now };
    const [to] = await tx
      .select()
      .from(fingeringVersion)
      .where(
        and(
          eq(fingeringVersion.fingeringId, fingeringId),
          eq(fingeringVersion.version, way === "undo" ? step.before : step.after),
        ),
      );
    await newVersion(tx, now, to!);
    await tx
      .update(edit)
      .set({ state: way === "undo" ? "undone" : "applied" })
      .where(eq(edit.id, step.id));
    return { outcome: "kept", now: (await fingeringById(tx, fingeringId))! };
  });
}

/** The fingering with its row locked, so that changes come one after another. */
async function locked(tx: Tx, id: string): Promise<FingeringKept | null> {
  await tx.select({ id: fingering.id }).from(fingering).where(eq(fingering.id, id)).for("update");
  return fingeringById(tx, id);
}

async function newVersion(tx: Tx, now: FingeringKept, { digits, pins, ruledOut }: State): Promise<number> {
  const version = now.version + 1;
  await tx.insert(fingeringVersion).values({ fingeringId: now.id, version, digits, pins, ruledOut });
  await tx.update(fingering).set({ version }).where(eq(fingering.id, now.id));
  return version;
}

async function setAsideUndone(tx: Tx, fingeringId: string): Promise<void> {
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
