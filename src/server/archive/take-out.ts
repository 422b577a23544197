import { eq, getTableColumns, inArray } from "drizzle-orm";
import type { Db } from "@/db/client";
import { pianistById } from "@/db/queries/pianists";
import { packed, type Archive } from "./pack";
import { ARCHIVED, columnOf, type Archived, type Row } from "./tables";

/** Parents that are asked about at once. */
const AT_ONCE = 1000;

/**
 * Everything that is a player's, as one file; null where there is no such player. Read in one transaction, so that it holds
 * together; what was taken away and can be had back is in it.
 */
export async function archiveOf(db: Db, playerId: string, madeAt: Date): Promise<Uint8Array | null> {
  const player = await pianistById(db, playerId);
  if (!player) return null;
  const tables: Record<string, readonly Row[]> = {};
  const files: Record<string, Uint8Array> = {};
  await db.transaction(
    async (tx) => {
      const ids = new Map<string, readonly string[]>();
      for (const archived of ARCHIVED) {
        const rows = await rowsOf(tx, archived, playerId, ids);
        if (archived.id)
          ids.set(
            archived.name,
            rows.map((row) => String(row[archived.id!])),
          );
        tables[archived.name] = rows.map((row) => plain(archived, row, files));
      }
    },
    { isolationLevel: "repeatable read", accessMode: "read only" },
  );
  const archive: Archive = { player: player.name, madeAt: madeAt.toISOString(), tables, files };
  return packed(archive);
}

async function rowsOf(
  db: Db,
  { table, of }: Archived,
  playerId: string,
  ids: ReadonlyMap<string, readonly string[]>,
): Promise<readonly Row[]> {
  if (of === null)
    return db
      .select()
      .from(table)
      .where(eq(columnOf(table, "id"), playerId));
  const parents = ids.get(of.table) ?? [];
  const rows: Row[] = [];
  for (let i = 0; i < parents.length; i += AT_ONCE) {
    const some = parents.slice(i, i + AT_ONCE);
    rows.push(
      ...(await db
        .select()
        .from(table)
        .where(inArray(columnOf(table, of.column), some))),
    );
  }
  return rows;
}

/** A row as it is written: what the database works out by itself is left out, and bytes lie in a file. */
function plain({ table, file }: Archived, row: Row, files: Record<string, Uint8Array>): Row {
  const columns = getTableColumns(table);
  const kept = Object.entries(row).filter(([name]) => columns[name]?.generated === undefined);
  if (!file) return Object.fromEntries(kept);
  const place = file.at(row);
  files[place] = row[file.column] as Uint8Array;
  return Object.fromEntries(kept.map(([name, value]) => [name, name === file.column ? place : value]));
}
