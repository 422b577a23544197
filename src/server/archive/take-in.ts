import { and, count, eq, getTableColumns, inArray, ne, sql } from "drizzle-orm";
import type { Db, Tx } from "@/db/client";
import { failureOf } from "@/db/failures";
import { pianist, piece } from "@/db/schema";
import type { Answer } from "../types";
import { unpacked, type Archive } from "./pack";
import { ARCHIVED, columnOf, namedBy, type Archived, type Row } from "./tables";

/** What came of taking an archive in. */
export interface TakenIn {
  readonly playerId: string;
  readonly player: string;
  /** Rows that were not there before, and those that were and stay as they are. */
  readonly added: number;
  readonly there: number;
  /** Rows that found no room beside what is there, as a day that was planned anew here. */
  readonly leftOut: number;
}

/** Rows that are written at once: what a statement can hold. */
const AT_ONCE = 200;

/**
 * Takes an archive in: on an empty installation all of it, on a used one what is not there yet; what is there stays as it is,
 * so that nothing is lost and nothing doubled. All of it or nothing: an archive in which anything is wrong changes nothing.
 */
export async function takeIn(db: Db, bytes: Uint8Array): Promise<Answer<TakenIn>> {
  const read = unpacked(bytes);
  if (!read.ok) return read;
  const archive = read.value;
  const wrong = strayIn(archive);
  if (wrong) return { ok: false, message: wrong };
  const [player] = archive.tables["players"] ?? [];
  const playerId = String(player!["id"]);
  try {
    return await db.transaction(async (tx) => {
      const counted = { added: 0, there: 0, leftOut: 0 };
      const here = new Map<string, ReadonlySet<string>>();
      for (const archived of ARCHIVED) {
        const rows = archive.tables[archived.name] ?? [];
        const fit = rows.filter((row) => namedBy(archived, row).every(({ table, id }) => here.get(table)!.has(id)));
        const added = await insertAll(tx, archived, fit, archive);
        const present = archived.id ? await idsHere(tx, archived, fit) : null;
        if (present) here.set(archived.name, present);
        const kept = present?.size ?? fit.length;
        counted.added += added;
        counted.there += kept - added;
        counted.leftOut += rows.length - kept;
      }
      if (await holdsOthers(tx, archive, playerId)) throw new Stray();
      await tx.update(pianist).set({ goneAt: null }).where(eq(pianist.id, playerId));
      // What happens from here on comes after all that the archive holds.
      await tx.execute(
        sql`select setval('history_order', greatest((select last_value from history_order), ${lastPlace(archive)}))`,
      );
      return { ok: true as const, value: { playerId, player: archive.player, ...counted } };
    });
  } catch (error) {
    if (error instanceof Stray)
      return { ok: false, message: "This archive names a piece that is another player's here. Nothing was changed." };
    if (error instanceof Unfit) return { ok: false, message: error.message };
    if (failureOf(error) === "refused" || failureOf(error) === "gone")
      return { ok: false, message: "This archive holds something that cannot be kept as it is. Nothing was changed." };
    throw error;
  }
}

class Stray extends Error {}
class Unfit extends Error {}

/** Why rows of an archive do not belong together; null where they do: one player, and every row to something in the archive. */
function strayIn({ tables }: Archive): string | null {
  if (tables["players"]?.length !== 1) return "This archive does not hold one player. Nothing was changed.";
  const ids = new Map(
    ARCHIVED.map(({ name, id }) => [name, new Set(id ? (tables[name] ?? []).map((row) => String(row[id])) : [])]),
  );
  for (const archived of ARCHIVED) {
    const rows = tables[archived.name] ?? [];
    const stray = rows.findIndex((row) => {
      const named = namedBy(archived, row);
      return (archived.of !== null && named.length === 0) || named.some(({ table, id }) => !ids.get(table)!.has(id));
    });
    if (stray >= 0)
      return `This archive cannot be read: row ${stray + 1} of ${archived.name} belongs to nothing in it. Nothing was changed.`;
  }
  return null;
}

async function insertAll(tx: Tx, archived: Archived, rows: readonly Row[], archive: Archive): Promise<number> {
  let added = 0;
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const values = rows.slice(i, i + AT_ONCE).map((row, k) => revived(archived, row, i + k, archive));
    const made = await tx
      .insert(archived.table)
      .values(values as never)
      .onConflictDoNothing()
      .returning({ one: sql`1` });
    added += made.length;
  }
  return added;
}

/** Which of some rows are there now, by their ids. */
async function idsHere(tx: Tx, { table, id }: Archived, rows: readonly Row[]): Promise<ReadonlySet<string>> {
  const column = columnOf(table, id!);
  const found = new Set<string>();
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const some = rows.slice(i, i + AT_ONCE).map((row) => String(row[id!]));
    for (const one of await tx.select({ id: column }).from(table).where(inArray(column, some)))
      found.add(String(one.id));
  }
  return found;
}

/** A row as the database takes it: moments from their text, bytes from their file, and no column that it does not know. */
function revived({ name, table, file }: Archived, row: Row, index: number, { files }: Archive): Row {
  const columns = getTableColumns(table);
  const where = `row ${index + 1} of ${name}`;
  return Object.fromEntries(
    Object.entries(row).flatMap(([key, value]) => {
      const column = columns[key];
      if (!column || column.generated) return [];
      if (file?.column === key) {
        const bytes = files[String(value)];
        if (!bytes)
          throw new Unfit(`This archive cannot be read: the file of ${where} is missing. Nothing was changed.`);
        return [[key, bytes]];
      }
      if (column.dataType !== "date" || value === null) return [[key, value]];
      const at = new Date(String(value));
      if (Number.isNaN(at.getTime()))
        throw new Unfit(`This archive cannot be read: ${where} has no moment in ${key}. Nothing was changed.`);
      return [[key, at]];
    }),
  );
}

/** Whether a piece of the archive was there before and is another player's. */
async function holdsOthers(tx: Tx, { tables }: Archive, playerId: string): Promise<boolean> {
  const ids = (tables["pieces"] ?? []).map(({ id }) => String(id));
  if (ids.length === 0) return false;
  const [found] = await tx
    .select({ others: count() })
    .from(piece)
    .where(and(inArray(piece.id, ids), ne(piece.pianistId, playerId)));
  return found!.others > 0;
}

/** The last place of everything that happened. */
function lastPlace({ tables }: Archive): number {
  const places = Object.values(tables).flatMap((rows) =>
    rows.map(({ place }) => (typeof place === "number" ? place : 0)),
  );
  return places.reduce((most, place) => Math.max(most, place), 1);
}
