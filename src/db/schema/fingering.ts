import { sql } from "drizzle-orm";
import {
  check,
  foreignKey,
  integer,
  jsonb,
  pgEnum,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  unique,
  uuid,
} from "drizzle-orm/pg-core";
import type { RuledOut } from "@/core/fingering/search/conditions";
import { LEANING_IDS, type LeaningId } from "@/core/options/leanings";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import { goneAt } from "./gone";
import { historyPlace } from "./history";
import { passage } from "./passage";

/** Where a fingering comes from. */
export const origin = pgEnum("origin", ["solved", "printed", "typed"]);

/** One option for a passage, both hands together. Its digits stand in its newest version. */
export const fingering = pgTable(
  "fingering",
  {
    id: uuid().primaryKey().defaultRandom(),
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    /** The letter it goes by. */
    name: text().notNull(),
    origin: origin().notNull(),
    /** What the player calls it, where they do. */
    title: text(),
    /** By which leaning it is worked out. */
    leaning: text().$type<LeaningId>().notNull().default("balanced"),
    /** Whose it is, where it came with a name: an edition, a teacher. */
    author: text(),
    /** The version in force; grows with every change, undo and redo among them. */
    version: integer().notNull(),
    /** The revision of its passage that its digits follow; older than the passage's, it waits to be worked out anew. */
    follows: integer().notNull().default(0),
    goneAt: goneAt(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    unique("fingering_name").on(t.passageId, t.name),
    check("fingering_leaning", sql`${t.leaning} in (${sql.raw(LEANING_IDS.map((id) => `'${id}'`).join(", "))})`),
    check("fingering_version_positive", sql`${t.version} >= 1`),
  ],
);

/** Every state a fingering was ever in. Never changed. */
export const fingeringVersion = pgTable(
  "fingering_version",
  {
    fingeringId: uuid()
      .notNull()
      .references(() => fingering.id, { onDelete: "cascade" }),
    version: integer().notNull(),
    digits: jsonb().$type<Fingering>().notNull(),
    pins: jsonb().$type<Pins>().notNull(),
    ruledOut: jsonb().$type<RuledOut>().notNull().default({}),
    /** A sum of the music, the hands and all that was asked when its digits were worked out; null where it is not known. */
    basis: text(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.fingeringId, t.version] }),
    check("fingering_version_digits", sql`jsonb_typeof(${t.digits}) = 'object' and jsonb_typeof(${t.pins}) = 'object'`),
    check(
      "fingering_version_fingers",
      sql`not jsonb_path_exists(${t.digits}, '$.* ? (@ != null && (@ < 1 || @ > 5))')`,
    ),
    check(
      "fingering_version_ruled_out",
      sql`not jsonb_path_exists(${t.ruledOut}, '$.*[*] ? (@ == null || @ < 1 || @ > 5)')`,
    ),
    check("fingering_version_pins", sql`not jsonb_path_exists(${t.pins}, '$.* ? (@ == null || @ < 1 || @ > 5)')`),
  ],
);

export const editKind = pgEnum("edit_kind", ["pin", "lift", "rule-out", "allow", "pin-stretch", "clear-stretch"]);
/** An edit undone and then written over by another is set aside, never deleted. */
export const editState = pgEnum("edit_state", ["applied", "undone", "set-aside"]);

/** The edit log of a fingering: what undo and redo walk along. */
export const edit = pgTable(
  "edit",
  {
    /** Given by the page, so that sending an edit twice keeps it once. */
    id: uuid().primaryKey(),
    fingeringId: uuid()
      .notNull()
      .references(() => fingering.id, { onDelete: "cascade" }),
    order: integer().notNull(),
    place: historyPlace(),
    kind: editKind().notNull(),
    /** The note, or the first of a stretch. */
    noteId: text().notNull(),
    finger: smallint(),
    before: integer().notNull(),
    after: integer().notNull(),
    state: editState().notNull().default("applied"),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    unique("edit_order").on(t.fingeringId, t.order),
    check(
      "edit_finger",
      sql`(${t.kind}::text in ('pin', 'rule-out', 'allow')) = (${t.finger} is not null) and (${t.finger} is null or ${t.finger} between 1 and 5)`,
    ),
    foreignKey({
      name: "edit_before",
      columns: [t.fingeringId, t.before],
      foreignColumns: [fingeringVersion.fingeringId, fingeringVersion.version],
    }),
    foreignKey({
      name: "edit_after",
      columns: [t.fingeringId, t.after],
      foreignColumns: [fingeringVersion.fingeringId, fingeringVersion.version],
    }),
  ],
);
