import { sql } from "drizzle-orm";
import { check, index, jsonb, pgEnum, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import type { Entry } from "@/core/entry/entry";
import { bytea } from "./bytea";
import { goneAt } from "./gone";
import { pianist, recital } from "./pianist";

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
    /** By which what was read of the source is known again. */
    sourceSum: text()
      .notNull()
      .generatedAlwaysAs(sql`encode(sha256(source), 'hex')`),
    /** The part of the score that the pianist plays. */
    partId: text().notNull(),
    /** What was entered step by step, as it can be edited on; the source is written from it. */
    entry: jsonb().$type<Entry>(),
    goneAt: goneAt(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("piece_title", sql`length(trim(${t.title})) > 0`),
    check("piece_file", sql`(${t.sourceKind} = 'file') = (${t.fileName} is not null)`),
    check("piece_entry", sql`(${t.sourceKind} = 'entered') = (${t.entry} is not null)`),
    check("piece_source", sql`length(${t.source}) > 0`),
    index("piece_of_pianist").on(t.pianistId),
  ],
);
