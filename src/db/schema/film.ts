import { sql } from "drizzle-orm";
import { check, index, jsonb, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { NO_FILM_MARKS, type FilmMarks } from "@/core/film/film-marks";
import { bytea } from "./bytea";
import { goneAt } from "./gone";
import { passage } from "./passage";

/** A clip or a photograph of the hands that the player chose to keep with a passage. Private: it leaves the database only in an export that they ask for. */
export const film = pgTable(
  "film",
  {
    id: uuid().primaryKey().defaultRandom(),
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    name: text().notNull(),
    /** Its media type. */
    type: text().notNull(),
    bytes: bytea().notNull(),
    marks: jsonb().$type<FilmMarks>().notNull().default(NO_FILM_MARKS),
    goneAt: goneAt(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("film_type", sql`${t.type} ~ '^(video|image)/[a-z0-9.+-]+$'`),
    check("film_name", sql`length(trim(${t.name})) > 0`),
    check(
      "film_marks",
      sql`jsonb_typeof(${t.marks}->'hands') = 'array' and jsonb_typeof(${t.marks}->'seen') = 'array'`,
    ),
    index("film_of_passage").on(t.passageId, t.at),
  ],
);
