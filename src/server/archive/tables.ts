import type { PgColumn, PgTable } from "drizzle-orm/pg-core";
import * as schema from "@/db/schema";

/** A table of which an archive holds a player's rows. */
export interface Archived {
  /** By which it is named in an archive: never changed once an archive was written with it. */
  readonly name: string;
  readonly table: PgTable;
  /** What its rows belong to: a column, and the archived table whose ids stand in it; null for the player's own row. */
  readonly of: { readonly column: string; readonly table: string } | null;
  /** What its rows name besides, where they name anything. */
  readonly also?: readonly { readonly column: string; readonly table: string }[];
  /** The column in which the table's rows go by an id for others; null where nothing belongs to them. */
  readonly id: "id" | null;
  /** A column whose bytes lie in the archive as a file of their own, and where. */
  readonly file?: { readonly column: string; readonly at: (row: Row) => string };
}

/** A row by the names of its columns in the schema. */
export type Row = Readonly<Record<string, unknown>>;

const owned = (name: string, table: PgTable, column: string, of: string, more: Partial<Archived> = {}): Archived => ({
  name,
  table,
  of: { column, table: of },
  id: "id",
  ...more,
});

/** The ending of a piece's file; what was entered step by step, or heard from a file of keys, is written as MusicXML. */
function endingOf(fileName: unknown): string {
  const own = /\.[a-z0-9]{1,8}$/i.exec(typeof fileName === "string" ? fileName : "")?.[0].toLowerCase();
  return own === undefined || /^\.midi?$/.test(own) ? ".musicxml" : own;
}

/** Everything that is a player's, what belongs to something after what it belongs to. */
export const ARCHIVED: readonly Archived[] = [
  { name: "players", table: schema.pianist, of: null, id: "id" },
  owned("hand-measurements", schema.handMeasurement, "pianistId", "players"),
  owned("instruments", schema.instrument, "pianistId", "players"),
  owned("rests", schema.rest, "pianistId", "players"),
  owned("recitals", schema.recital, "pianistId", "players"),
  owned("own-figures", schema.ownFigures, "pianistId", "players"),
  owned("halts", schema.halt, "pianistId", "players"),
  owned("pieces", schema.piece, "pianistId", "players", {
    also: [{ column: "recitalId", table: "recitals" }],
    file: { column: "source", at: ({ id, fileName }) => `scores/${String(id)}${endingOf(fileName)}` },
  }),
  owned("heard", schema.heard, "pieceId", "pieces", {
    id: null,
    file: { column: "midi", at: ({ pieceId }) => `heard/${String(pieceId)}.mid` },
  }),
  owned("passages", schema.passage, "pieceId", "pieces"),
  owned("note-marks", schema.noteMark, "passageId", "passages", { id: null }),
  owned("options", schema.fingering, "passageId", "passages"),
  owned("option-versions", schema.fingeringVersion, "fingeringId", "options", { id: null }),
  owned("option-edits", schema.edit, "fingeringId", "options"),
  owned("passage-changes", schema.passageChange, "passageId", "passages"),
  owned("verdicts", schema.verdictEvent, "passageId", "passages", {
    also: [{ column: "fingeringId", table: "options" }],
  }),
  owned("practice-days", schema.practiceDay, "passageId", "passages", { id: null }),
  owned("takes", schema.take, "passageId", "passages", { also: [{ column: "fingeringId", table: "options" }] }),
  owned("take-figures", schema.takeFigures, "takeId", "takes", { id: null }),
  owned("felt", schema.felt, "takeId", "takes", { id: null }),
  owned("films", schema.film, "passageId", "passages", {
    file: { column: "bytes", at: ({ id, type }) => `films/${String(id)}.${String(type).split("/")[1] ?? "bin"}` },
  }),
  owned("day-plans", schema.dayPlan, "pianistId", "players"),
  owned("blocks", schema.block, "dayPlanId", "day-plans", {
    also: [
      { column: "passageId", table: "passages" },
      { column: "pieceId", table: "pieces" },
    ],
  }),
  owned("practice-stands", schema.practiceStand, "passageId", "passages", { id: null }),
  owned("diary-notes", schema.diaryNote, "pianistId", "players", {
    also: [{ column: "passageId", table: "passages" }],
  }),
];

/** A column of a table by its name in the schema. */
export function columnOf(table: PgTable, name: string): PgColumn {
  return (table as unknown as Record<string, PgColumn>)[name]!;
}

/** What a row belongs to and names, each with the id that it has there; nothing where it names none. */
export function namedBy(
  { of, also = [] }: Archived,
  row: Row,
): readonly { readonly table: string; readonly id: string }[] {
  return [...(of ? [of] : []), ...also].flatMap(({ column, table }) => {
    const id = row[column];
    return id === null || id === undefined ? [] : [{ table, id: String(id) }];
  });
}
