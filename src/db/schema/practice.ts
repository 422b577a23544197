import { sql } from "drizzle-orm";
import {
  boolean,
  check,
  date,
  doublePrecision,
  index,
  jsonb,
  pgEnum,
  pgTable,
  smallint,
  text,
  timestamp,
  unique,
  uuid,
} from "drizzle-orm/pg-core";
import { DAY_PLAN } from "@/core/physics";
import type { Notch, Ladder } from "@/core/practice/ladder";
import { DOINGS } from "@/core/practice/planner/day";
import { goneAt } from "./gone";
import { passage } from "./passage";
import { pianist } from "./pianist";
import { piece } from "./piece";

export const doing = pgEnum("doing", DOINGS);
export const blockState = pgEnum("block_state", ["planned", "done", "struck"]);

/** A day that a player planned; what it holds stands in its blocks. */
export const dayPlan = pgTable(
  "day_plan",
  {
    id: uuid().primaryKey().defaultRandom(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    on: date({ mode: "string" }).notNull(),
    /** Minutes that the player gave it. */
    minutes: smallint().notNull(),
    /** Whether the player said that it is cold. */
    isCold: boolean().notNull().default(false),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    unique("day_plan_once").on(t.pianistId, t.on),
    check(
      "day_plan_minutes",
      sql`${t.minutes} between ${sql.raw(String(DAY_PLAN.range[0]))} and ${sql.raw(String(DAY_PLAN.range[1]))}`,
    ),
  ],
);

/** A stretch of a planned day, and what came of it once it is done. */
export const block = pgTable(
  "block",
  {
    id: uuid().primaryKey().defaultRandom(),
    dayPlanId: uuid()
      .notNull()
      .references(() => dayPlan.id, { onDelete: "cascade" }),
    /** In the order of the day; gaps are nothing. */
    place: smallint().notNull(),
    doing: doing().notNull(),
    passageId: uuid().references(() => passage.id, { onDelete: "cascade" }),
    pieceId: uuid().references(() => piece.id, { onDelete: "cascade" }),
    why: text().notNull(),
    minutes: smallint().notNull(),
    /** mm beyond comfort times minutes, of all its minutes. */
    doseRight: doublePrecision().notNull().default(0),
    doseLeft: doublePrecision().notNull().default(0),
    state: blockState().notNull().default("planned"),
    /** Minutes that were really practised; null until it is done. */
    doneMinutes: smallint(),
    doneAt: timestamp({ withTimezone: true }),
    /** Quarter notes a minute that the ladder came to; null where none was climbed. */
    tempo: doublePrecision(),
    /** Good plays and all plays that were counted. */
    good: smallint(),
    plays: smallint(),
    /** Whether the hands were loose after it, in the player's own word. Private, as what is felt. */
    loose: boolean(),
    note: text().notNull().default(""),
  },
  (t) => [
    check("block_minutes", sql`${t.minutes} between 1 and ${sql.raw(String(DAY_PLAN.range[1]))}`),
    check("block_dose", sql`${t.doseRight} >= 0 and ${t.doseLeft} >= 0`),
    check("block_done", sql`(${t.state} = 'done') = (${t.doneMinutes} is not null and ${t.doneAt} is not null)`),
    check("block_done_minutes", sql`${t.doneMinutes} between 0 and ${sql.raw(String(DAY_PLAN.range[1]))}`),
    check("block_count", sql`(${t.good} is null) = (${t.plays} is null) and ${t.good} between 0 and ${t.plays}`),
    index("block_of_day").on(t.dayPlanId, t.place),
    index("block_of_passage").on(t.passageId),
  ],
);

/** Where a player stands in the practice of a passage: the ladder, the count that is under way, drills that have done their work. */
export const practiceStand = pgTable(
  "practice_stand",
  {
    passageId: uuid()
      .primaryKey()
      .references(() => passage.id, { onDelete: "cascade" }),
    ladder: jsonb().$type<Ladder & { readonly notch: Notch }>(),
    count: jsonb().$type<{ readonly wanted: number; readonly plays: readonly boolean[] }>(),
    /** The day on which each drill, by hand and id, had done its work. */
    worked: jsonb().$type<Readonly<Record<string, string>>>().notNull().default({}),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("practice_stand_ladder", sql`${t.ladder} is null or (${t.ladder}->>'tempo')::double precision > 0`),
    check("practice_stand_count", sql`${t.count} is null or jsonb_typeof(${t.count}->'plays') = 'array'`),
    check("practice_stand_worked", sql`jsonb_typeof(${t.worked}) = 'object'`),
  ],
);

/** Something written into the diary: the player's own words, or advice with its author. Private, as what is felt. */
export const diaryNote = pgTable(
  "diary_note",
  {
    /** Given by the page, so that sending it twice keeps it once. */
    id: uuid().primaryKey(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    /** What it is about; null for the day as such. */
    passageId: uuid().references(() => passage.id, { onDelete: "cascade" }),
    on: date({ mode: "string" }).notNull(),
    text: text().notNull(),
    /** Whose advice it is; null for the player's own words. */
    author: text(),
    goneAt: goneAt(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("diary_note_text", sql`length(trim(${t.text})) > 0`),
    check("diary_note_author", sql`${t.author} is null or length(trim(${t.author})) > 0`),
    index("diary_note_of_pianist").on(t.pianistId, t.on),
    index("diary_note_of_passage").on(t.passageId),
  ],
);
