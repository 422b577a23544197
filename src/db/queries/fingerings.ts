import { and, asc, eq, inArray, isNull, sql, type SQL } from "drizzle-orm";
import { alias } from "drizzle-orm/pg-core";
import type { RuledOut } from "@/core/fingering/search/conditions";
import type { LeaningId } from "@/core/options/leanings";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import { optionName } from "@/core/options/option-name";
import type { Db, Tx } from "../client";
import { edit, fingering, fingeringVersion, passageChange, type origin } from "../schema";
import { basisOf } from "./basis";
import { lockPassage } from "./history";

/** A fingering as it stands. */
export interface FingeringKept {
  readonly id: string;
  readonly passageId: string;
  readonly name: string;
  readonly title: string | null;
  readonly origin: (typeof origin.enumValues)[number];
  readonly leaning: LeaningId;
  readonly author: string | null;
  readonly version: number;
  /** The revision of its passage that its digits follow. */
  readonly follows: number;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
  /** Its digits when it was made. */
  readonly first: Fingering;
  /** How many edits of it, and changes of its passage, can be undone and redone from here. */
  readonly undoable: number;
  readonly redoable: number;
}

export async function fingeringsOf(db: Db, passageId: string): Promise<readonly FingeringKept[]> {
  return kept(db, eq(fingering.passageId, passageId));
}

/** The options of some passages, in one query. */
export async function fingeringsOfAll(db: Db, passages: readonly string[]): Promise<readonly FingeringKept[]> {
  return passages.length === 0 ? [] : kept(db, inArray(fingering.passageId, [...passages]));
}

/** The ids of all options of a passage, those among them that were taken away and may come back. */
export async function allFingeringIds(db: Db, passageId: string): Promise<readonly string[]> {
  const rows = await db.select({ id: fingering.id }).from(fingering).where(eq(fingering.passageId, passageId));
  return rows.map(({ id }) => id);
}

export async function fingeringById(db: Db, id: string): Promise<FingeringKept | null> {
  const [found] = await kept(db, eq(fingering.id, id));
  return found ?? null;
}

/** Everything of some fingerings in one query, however many there are. */
function kept(db: Db, which: SQL): Promise<readonly FingeringKept[]> {
  const made = alias(fingeringVersion, "made");
  const edits = (state: "applied" | "undone") =>
    sql`(select count(*) from ${edit} where ${edit.fingeringId} = ${fingering.id} and ${edit.state} = ${state})`;
  const changes = (state: "applied" | "undone") =>
    sql`(select count(*) from ${passageChange} where ${passageChange.passageId} = ${fingering.passageId} and ${passageChange.state} = ${state})`;
  return db
    .select({
      id: fingering.id,
      passageId: fingering.passageId,
      name: fingering.name,
      title: fingering.title,
      origin: fingering.origin,
      leaning: fingering.leaning,
      author: fingering.author,
      version: fingering.version,
      follows: fingering.follows,
      digits: fingeringVersion.digits,
      pins: fingeringVersion.pins,
      ruledOut: fingeringVersion.ruledOut,
      first: sql<Fingering>`coalesce(${made.digits}, ${fingeringVersion.digits})`,
      undoable: sql<number>`(${edits("applied")} + ${changes("applied")})::int`,
      redoable: sql<number>`(${edits("undone")} + ${changes("undone")})::int`,
    })
    .from(fingering)
    .innerJoin(
      fingeringVersion,
      and(eq(fingeringVersion.fingeringId, fingering.id), eq(fingeringVersion.version, fingering.version)),
    )
    .leftJoin(made, and(eq(made.fingeringId, fingering.id), eq(made.version, 1)))
    .where(and(which, isNull(fingering.goneAt)))
    .orderBy(asc(sql`length(${fingering.name})`), asc(fingering.name));
}

/** The letters of fingerings by their ids. */
export async function fingeringNames(db: Db, ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select({ id: fingering.id, name: fingering.name })
    .from(fingering)
    .where(inArray(fingering.id, [...ids]));
  return new Map(rows.map(({ id, name }) => [id, name]));
}

export type NewFingering = Pick<FingeringKept, "name" | "origin" | "leaning" | "digits" | "pins"> & {
  readonly author?: string | null;
};

/** Keeps the options that a passage opens with, unless it has some; null where the passage is gone. */
export async function addFirstFingerings(
  db: Db,
  passageId: string,
  options: readonly NewFingering[],
): Promise<readonly FingeringKept[] | null> {
  return db.transaction(async (tx) => {
    const passage = await lockPassage(tx, passageId);
    if (!passage) return null;
    const there = await fingeringsOf(tx, passageId);
    if (there.length > 0) return there;
    const basis = await basisOf(tx, passageId);
    for (const option of options) await insert(tx, passage, option, basis);
    return fingeringsOf(tx, passageId);
  });
}

/** Another option of a passage as it is to be kept, under an id given to it: sent twice, it is kept once. */
export type AddedFingering = Omit<NewFingering, "name"> & { readonly id: string };

/** Keeps another option of a passage under the first letter that is free; null where the passage is gone. */
export async function addFingering(
  db: Db,
  passageId: string,
  option: AddedFingering,
): Promise<readonly FingeringKept[] | null> {
  return db.transaction(async (tx) => {
    const passage = await lockPassage(tx, passageId);
    if (!passage) return null;
    const there = await fingeringsOf(tx, passageId);
    if (there.some(({ id }) => id === option.id)) return there;
    // Letters of options that were taken away stay theirs: they may come back.
    const all = await tx.select({ name: fingering.name }).from(fingering).where(eq(fingering.passageId, passageId));
    const taken = new Set(all.map(({ name }) => name));
    let place = 0;
    while (taken.has(optionName(place))) place++;
    await insert(tx, passage, { ...option, name: optionName(place) }, await basisOf(tx, passageId));
    return fingeringsOf(tx, passageId);
  });
}

async function insert(
  tx: Tx,
  { id: passageId, revision }: { readonly id: string; readonly revision: number },
  option: NewFingering & { readonly id?: string },
  basis: string,
): Promise<void> {
  const { id, name, origin, leaning, author = null, digits, pins } = option;
  const [made] = await tx
    .insert(fingering)
    .values({ ...(id ? { id } : {}), passageId, name, origin, leaning, author, version: 1, follows: revision })
    .returning({ id: fingering.id });
  await tx.insert(fingeringVersion).values({ fingeringId: made!.id, version: 1, digits, pins, basis });
}
