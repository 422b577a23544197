import { sql } from "drizzle-orm";
import { check, jsonb, pgTable, timestamp, uuid } from "drizzle-orm/pg-core";
import type { Choices } from "@/core/transcription/choices";
import type { Doubt, Guessed } from "@/core/transcription/transcript";
import { bytea } from "./bytea";
import { piece } from "./piece";

/** The file of keys that a piece was heard from, kept as it came, and how it was heard; its source is written from it. */
export const heard = pgTable(
  "heard",
  {
    pieceId: uuid()
      .primaryKey()
      .references(() => piece.id, { onDelete: "cascade" }),
    midi: bytea().notNull(),
    /** What the player says of it. */
    choices: jsonb().$type<Choices>().notNull().default({}),
    /** What was found out. */
    guessed: jsonb().$type<Guessed>().notNull(),
    doubts: jsonb().$type<readonly Doubt[]>().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("heard_midi", sql`length(${t.midi}) > 0`),
    check("heard_choices", sql`jsonb_typeof(${t.choices}) = 'object'`),
    check("heard_doubts", sql`jsonb_typeof(${t.doubts}) = 'array'`),
  ],
);
