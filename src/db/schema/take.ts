import { sql } from "drizzle-orm";
import {
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgEnum,
  pgTable,
  smallint,
  text,
  timestamp,
  uuid,
} from "drizzle-orm/pg-core";
import { TEMPO_RANGE } from "@/core/passage/passage";
import type { CleanMeasures } from "@/core/trials/clean";
import type { Snip } from "@/core/trials/snip";
import { TAKE_SOURCES } from "@/core/trials/take";
import { fingeringVersion } from "./fingering";
import { hands, passage } from "./passage";

export const takeSource = pgEnum("take_source", TAKE_SOURCES);

/** What was played of a passage, and on which version of which fingering. Never changed; never read with a passage. */
export const take = pgTable(
  "take",
  {
    /** Given by the page, so that sending it twice keeps it once. */
    id: uuid().primaryKey(),
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    fingeringId: uuid().notNull(),
    version: integer().notNull(),
    source: takeSource().notNull(),
    /** Quarter notes a minute that were meant. */
    tempo: doublePrecision().notNull(),
    click: boolean().notNull(),
    hands: hands().notNull(),
    /** Key, ms down, ms up or null, velocity, key by key as they came. */
    keys: jsonb().$type<readonly PackedKey[]>().notNull(),
    /** ms and value, as they came. */
    pedal: jsonb().$type<readonly (readonly [ms: number, value: number])[]>().notNull(),
    /** What of the passage was meant to be played; null for the whole. */
    snip: jsonb().$type<Snip>(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    foreignKey({
      name: "take_fingering_version",
      columns: [t.fingeringId, t.version],
      foreignColumns: [fingeringVersion.fingeringId, fingeringVersion.version],
    }).onDelete("cascade"),
    check(
      "take_tempo",
      sql`${t.tempo} between ${sql.raw(String(TEMPO_RANGE[0]))} and ${sql.raw(String(TEMPO_RANGE[1]))}`,
    ),
    check("take_keys", sql`jsonb_typeof(${t.keys}) = 'array' and jsonb_typeof(${t.pedal}) = 'array'`),
    index("take_newest").on(t.passageId, t.at),
  ],
);

export type PackedKey = readonly [key: number, downMs: number, upMs: number | null, velocity: number];

/** What a take came to, beside it, so that many are listed fast. */
export const takeFigures = pgTable(
  "take_figures",
  {
    takeId: uuid()
      .primaryKey()
      .references(() => take.id, { onDelete: "cascade" }),
    /** What a rule of what is clean looks at. */
    measures: jsonb().$type<CleanMeasures>().notNull(),
    faults: smallint().notNull(),
    /** Quarter notes a minute; null where it cannot be told. */
    tempoReached: doublePrecision(),
    /** What to look at first. */
    first: text().notNull(),
    /** Amounts by the figures' ids. */
    amounts: jsonb().$type<Readonly<Record<string, number>>>().notNull(),
    /** ms late at each onset that can be told, by its first note. */
    late: jsonb().$type<Readonly<Record<string, number>>>().notNull().default({}),
    /** How many faults at each note that has any. */
    astray: jsonb().$type<Readonly<Record<string, number>>>().notNull(),
    /** What its wide openings cost each hand, in mm beyond comfort times minutes. */
    doseRight: doublePrecision().notNull().default(0),
    doseLeft: doublePrecision().notNull().default(0),
  },
  (t) => [
    check("take_figures_faults", sql`${t.faults} >= 0`),
    check("take_figures_dose", sql`${t.doseRight} >= 0 and ${t.doseLeft} >= 0`),
  ],
);
