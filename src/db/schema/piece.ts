import { sql } from "drizzle-orm";
import {
  check,
  customType,
  index,
  integer,
  jsonb,
  pgEnum,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from "drizzle-orm/pg-core";
import { pianist, recital } from "./pianist";

const bytea = customType<{ data: Uint8Array; driverData: Uint8Array }>({
  dataType: () => "bytea",
  toDriver: (value) => Buffer.from(value),
  fromDriver: (value) => new Uint8Array(value),
});

export const sourceKind = pgEnum("source_kind", ["file", "entered"]);

/** A piece, with the file it came from kept as it came. */
export const piece = pgTable(
  "piece",
  {
    id: uuid().primaryKey().defaultRandom(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    recitalId: uuid().references(() => recital.id, { onDelete: "set null" }),
    title: text().notNull(),
    sourceKind: sourceKind().notNull(),
    fileName: text(),
    source: bytea().notNull(),
    /** The part of the score that the pianist plays. */
    partId: text().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("piece_title", sql`length(trim(${t.title})) > 0`),
    check("piece_file", sql`(${t.sourceKind} = 'file') = (${t.fileName} is not null)`),
    check("piece_source", sql`length(${t.source}) > 0`),
    index("piece_of_pianist").on(t.pianistId),
  ],
);

/** A figure that returns in a piece and keeps its fingering. */
export const tiedFigure = pgTable("tied_figure", {
  id: uuid().primaryKey().defaultRandom(),
  pieceId: uuid()
    .notNull()
    .references(() => piece.id, { onDelete: "cascade" }),
  name: text().notNull(),
});

/** One coming of a tied figure: its notes in order, by their ids. */
export const tiedFigurePlace = pgTable(
  "tied_figure_place",
  {
    figureId: uuid()
      .notNull()
      .references(() => tiedFigure.id, { onDelete: "cascade" }),
    place: integer().notNull(),
    notes: jsonb().$type<readonly string[]>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.figureId, t.place] }),
    check("tied_figure_place_number", sql`${t.place} >= 0`),
    check("tied_figure_place_notes", sql`jsonb_typeof(${t.notes}) = 'array' and jsonb_array_length(${t.notes}) > 0`),
  ],
);
