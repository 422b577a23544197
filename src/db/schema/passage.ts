import { sql } from "drizzle-orm";
import {
  boolean,
  check,
  doublePrecision,
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
import type { NoteRemedy } from "@/core/passage/remedied";
import { USUAL_WISHES, type FingeringWishes } from "@/core/options/asked/wishes";
import { NO_PLAN_MARKS, type PlanMarks } from "@/core/motion/marks/plan-marks";
import { TEMPO_RANGE, type Redistribution } from "@/core/passage/passage";
import { goneAt } from "./gone";
import { piece } from "./piece";

export const hands = pgEnum("hands", ["right", "left", "both"]);
export const touch = pgEnum("touch", ["legato", "detached"]);

/** A hard spot of a piece. Bars by their place in the file, 1 for the first. */
export const passage = pgTable(
  "passage",
  {
    id: uuid().primaryKey().defaultRandom(),
    pieceId: uuid()
      .notNull()
      .references(() => piece.id, { onDelete: "cascade" }),
    title: text().notNull(),
    fromBar: integer().notNull(),
    toBar: integer().notNull(),
    /** The same as numbered on paper; null where it is not known yet. */
    printedBars: jsonb().$type<{ readonly from: string; readonly to: string }>(),
    hands: hands().notNull(),
    /** Quarter notes a minute. */
    tempo: doublePrecision().notNull(),
    touch: touch().notNull().default("legato"),
    pedal: boolean().notNull().default(false),
    wishes: jsonb().$type<FingeringWishes>().notNull().default(USUAL_WISHES),
    /** Notes that one hand takes from the other, by note. */
    taken: jsonb().$type<Redistribution>().notNull().default({}),
    /** What the player has made of the hand plan: signs, touches, what an eye has seen. */
    planMarks: jsonb().$type<PlanMarks>().notNull().default(NO_PLAN_MARKS),
    /** Grows with every change of what is played or asked; see fingering.follows. */
    revision: integer().notNull().default(0),
    goneAt: goneAt(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("passage_title", sql`length(trim(${t.title})) > 0`),
    check("passage_bars", sql`${t.fromBar} >= 1 and ${t.toBar} >= ${t.fromBar}`),
    check(
      "passage_tempo",
      sql`${t.tempo} between ${sql.raw(String(TEMPO_RANGE[0]))} and ${sql.raw(String(TEMPO_RANGE[1]))}`,
    ),
    check("passage_taken", sql`not jsonb_path_exists(${t.taken}, '$.* ? (@ != "right" && @ != "left")')`),
    check("passage_wishes_tying", sql`${t.wishes}->>'tying' in ('none', 'alike', 'all')`),
    check("passage_wishes_sharing", sql`${t.wishes}->'sharing'->>'allowed' in ('none', 'marked', 'all')`),
    check(
      "passage_plan_marks",
      sql`jsonb_typeof(${t.planMarks}->'signs') = 'array' and jsonb_typeof(${t.planMarks}->'watched') = 'array' and ${t.planMarks}->>'school' in ('curled-first', 'as-played')`,
    ),
    index("passage_of_piece").on(t.pieceId),
  ],
);

export const markKind = pgEnum("mark_kind", ["shared", "remedy"]);

/** A mark on a note, keyed by the note's own id. */
export const noteMark = pgTable(
  "note_mark",
  {
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    noteId: text().notNull(),
    kind: markKind().notNull(),
    remedy: jsonb().$type<NoteRemedy>(),
  },
  (t) => [
    primaryKey({ columns: [t.passageId, t.noteId, t.kind] }),
    check(
      "note_mark_remedy",
      sql`(${t.kind} = 'remedy') = (${t.remedy} is not null) and (${t.remedy} is null or ${t.remedy}->>'kind' in ('edges', 'flat', 'lean', 'other-hand', 'roll', 'omit', 'fold', 'shorter'))`,
    ),
    check("note_mark_note", sql`${t.noteId} ~ '^b[0-9]+-s[0-9]+-v[A-Za-z0-9]+-n[0-9]+$'`),
  ],
);
