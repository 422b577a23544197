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
  uuid,
} from "drizzle-orm/pg-core";
import type { Finger } from "@/core/hand/finger";
import type { HandMeasured } from "@/core/hand/measured";
import type { OwnFigures } from "@/core/hand/own";
import { CONTACT, DAY_LIMIT, DAY_PLAN, DOSE, HAND, KEYBOARD, OWN } from "@/core/physics";
import { USUAL_SCHOOL, type School } from "@/core/practice/school";
import type { CleanRule } from "@/core/trials/clean";
import { USUAL_ALLOWANCES, type Allowances } from "@/core/reach/allowances";
import { goneAt } from "./gone";

export const side = pgEnum("side", ["right", "left"]);

export const pianist = pgTable(
  "pianist",
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    /** Whether it is the made-up player whom the demo shows. */
    isDemo: boolean().notNull().default(false),
    /** When the player was taken away, with all that is theirs; null while they are here. */
    goneAt: goneAt(),
    /** Which remedies the player allows where a hand cannot hold what is written. */
    allows: jsonb().$type<Allowances>().notNull().default(USUAL_ALLOWANCES),
    /** What the player calls a clean take; null for the usual rule. */
    cleanRule: jsonb().$type<CleanRule>(),
    /** Minutes of takes that the player allows for a day; null for no limit. */
    dayLimit: smallint(),
    /** Minutes of practice that the week allows, Monday first. */
    weekMinutes: smallint()
      .array()
      .$type<number[]>()
      .notNull()
      .default([...DAY_PLAN.week]),
    /** How the player likes to practise. */
    school: jsonb().$type<School>().notNull().default(USUAL_SCHOOL),
    /** mm beyond comfort times minutes that each hand may open wide in a day; null until the player has said theirs. */
    doseLimit: doublePrecision(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check(
      "pianist_week",
      sql`cardinality(${t.weekMinutes}) = 7 and 0 <= all(${t.weekMinutes}) and ${sql.raw(String(DAY_PLAN.range[1]))} >= all(${t.weekMinutes})`,
    ),
    check(
      "pianist_dose_limit",
      sql`${t.doseLimit} between ${sql.raw(String(DOSE.range[0]))} and ${sql.raw(String(DOSE.range[1]))}`,
    ),
    check(
      "pianist_school",
      sql`${t.school}->>'basis' in ('exercises', 'passage') and ${t.school}->>'movement' in ('slow', 'snips')`,
    ),
    check("pianist_name", sql`length(trim(${t.name})) > 0`),
    check(
      "pianist_day_limit",
      sql`${t.dayLimit} between ${sql.raw(String(DAY_LIMIT.range[0]))} and ${sql.raw(String(DAY_LIMIT.range[1]))}`,
    ),
  ],
);

/** How a hand was measured: figures typed or drawn, keys pressed one by one, or keys of a connected piano. */
export const measuringWay = pgEnum("measuring_way", ["typed", "keys", "midi"]);

/** A dated measurement of one hand; the newest counts. */
export const handMeasurement = pgTable(
  "hand_measurement",
  {
    id: uuid().primaryKey().defaultRandom(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    side: side().notNull(),
    measuredOn: date({ mode: "string" }).notNull(),
    way: measuringWay().notNull().default("typed"),
    /** mm on a ruler, outer edge of thumb to outer edge of little finger; null where only keys were used. */
    rulerSpan: doublePrecision(),
    /** mm between contact centres, comfortable and widest, by pair. */
    pairs: jsonb().$type<NonNullable<HandMeasured["pairs"]>>().notNull().default({}),
    /** mm across a fingertip, by finger. */
    tipWidths: jsonb().$type<NonNullable<HandMeasured["tipWidths"]>>().notNull().default({}),
    /** mm behind the foremost fingertip, hand flat, by finger. */
    behind: jsonb().$type<NonNullable<HandMeasured["behind"]>>().notNull().default({}),
    /** Hz, turns of the forearm to and fro that go with ease; null where not counted. */
    turnsEase: doublePrecision(),
    /** What the player calls it, where they do. */
    title: text(),
    goneAt: goneAt(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check(
      "hand_measurement_turns",
      sql`${t.turnsEase} between ${sql.raw(String(HAND.turnsRange[0]))} and ${sql.raw(String(HAND.turnsRange[1]))}`,
    ),
    check(
      "hand_measurement_span",
      sql`${t.rulerSpan} between ${sql.raw(String(HAND.rulerSpanRange[0]))} and ${sql.raw(String(HAND.rulerSpanRange[1]))}`,
    ),
    check("hand_measurement_something", sql`${t.rulerSpan} is not null or ${t.pairs} <> '{}'::jsonb`),
    check(
      "hand_measurement_pairs",
      sql`jsonb_typeof(${t.pairs}) = 'object' and not jsonb_path_exists(${t.pairs}, '$.*.* ? (@.type() != "number" || @ < ${sql.raw(String(HAND.openingRange[0]))} || @ > ${sql.raw(String(HAND.openingRange[1]))})') and not jsonb_path_exists(${t.pairs}, '$.* ? (@.comfortable > @.widest)')`,
    ),
    check(
      "hand_measurement_tips",
      sql`not jsonb_path_exists(${t.tipWidths}, '$.* ? (@.type() != "number" || @ < ${sql.raw(String(CONTACT.tipWidthRange[0]))} || @ > ${sql.raw(String(CONTACT.thumbWidthRange[1]))})')`,
    ),
    check(
      "hand_measurement_behind",
      sql`not jsonb_path_exists(${t.behind}, '$.* ? (@.type() != "number" || @ < ${sql.raw(String(HAND.behindRange[0]))} || @ > ${sql.raw(String(HAND.behindRange[1]))})')`,
    ),
    index("hand_measurement_newest").on(t.pianistId, t.side, t.measuredOn),
  ],
);

export const instrument = pgTable(
  "instrument",
  {
    id: uuid().primaryKey().defaultRandom(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    name: text().notNull(),
    /** mm from C to C. */
    octaveWidth: doublePrecision().notNull(),
    /** The one taken up last is in use. */
    takenUpAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    goneAt: goneAt(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("instrument_name", sql`length(trim(${t.name})) > 0`),
    check(
      "instrument_octave",
      sql`${t.octaveWidth} between ${sql.raw(String(KEYBOARD.octaveWidthRange[0]))} and ${sql.raw(String(KEYBOARD.octaveWidthRange[1]))}`,
    ),
  ],
);

/** Fingers, or with all five a hand, that are not to play for a while. The reason is private to the player. */
export const rest = pgTable(
  "rest",
  {
    id: uuid().primaryKey().defaultRandom(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    side: side().notNull(),
    fingers: smallint().array().$type<Finger[]>().notNull(),
    reason: text().notNull(),
    since: date({ mode: "string" }).notNull(),
    /** The day on which to look at it again. */
    reviewOn: date({ mode: "string" }).notNull(),
    endedOn: date({ mode: "string" }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check(
      "rest_fingers",
      sql`cardinality(${t.fingers}) between 1 and 5 and ${t.fingers} <@ array[1,2,3,4,5]::smallint[]`,
    ),
    check("rest_reason", sql`length(trim(${t.reason})) > 0`),
    check("rest_review", sql`${t.reviewOn} >= ${t.since}`),
    check("rest_ended", sql`${t.endedOn} is null or ${t.endedOn} >= ${t.since}`),
    index("rest_of_pianist").on(t.pianistId, t.endedOn),
  ],
);

export const recital = pgTable(
  "recital",
  {
    id: uuid().primaryKey().defaultRandom(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    title: text().notNull(),
    heldOn: date({ mode: "string" }).notNull(),
    /** When the player said that it is over, whatever its day; null while it is to come. */
    endedAt: timestamp({ withTimezone: true }),
    goneAt: goneAt(),
  },
  (t) => [check("recital_title", sql`length(trim(${t.title})) > 0`), index("recital_of_pianist").on(t.pianistId)],
);

/** A player's own figures, proposed from their takes and taken up by them; the newest that was not given up counts. */
export const ownFigures = pgTable(
  "own_figures",
  {
    /** Given by the page, so that sending it twice keeps it once. */
    id: uuid().primaryKey(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    /** Times as much as usual that a cause weighs, by its id. */
    causes: jsonb().$type<OwnFigures["causes"]>().notNull(),
    /** Times as long as usual that the hand needs for its way. */
    movement: doublePrecision().notNull(),
    /** How many takes they are from. */
    takes: smallint().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** When the player went back to what was before; null while they have not. */
    givenUpAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    check(
      "own_figures_movement",
      sql`${t.movement} between ${sql.raw(String(OWN.movementRange[0]))} and ${sql.raw(String(OWN.movementRange[1]))}`,
    ),
    check("own_figures_causes", sql`jsonb_typeof(${t.causes}) = 'object'`),
    check("own_figures_given_up", sql`${t.givenUpAt} is null or ${t.givenUpAt} >= ${t.at}`),
    index("own_figures_newest").on(t.pianistId, t.at),
  ],
);
