import { sql } from "drizzle-orm";
import { check, date, index, pgEnum, pgTable, primaryKey, smallint, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { VERDICT_KINDS } from "@/core/verdict/standing";
import { fingering } from "./fingering";
import { historyPlace } from "./history";
import { passage } from "./passage";

export const verdictKind = pgEnum("verdict_kind", VERDICT_KINDS);

/** What was decided about a passage, event by event; the newest counts, none is ever changed. See core/verdict. */
export const verdictEvent = pgTable(
  "verdict_event",
  {
    /** Given by the page, so that sending it twice keeps it once. */
    id: uuid().primaryKey(),
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    kind: verdictKind().notNull(),
    fingeringId: uuid().references(() => fingering.id, { onDelete: "cascade" }),
    reason: text().notNull().default(""),
    author: text().notNull(),
    /** The day by which to decide. */
    decideOn: date({ mode: "string" }),
    /** Practice days after which to look at it again. */
    reviewAfter: smallint(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    place: historyPlace(),
  },
  (t) => [
    check(
      "verdict_taken",
      sql`${t.kind}::text = 'known' or (${t.kind}::text = 'taken') = (${t.fingeringId} is not null)`,
    ),
    check("verdict_deadline", sql`(${t.kind}::text = 'undecided') = (${t.decideOn} is not null)`),
    check(
      "verdict_review",
      sql`${t.reviewAfter} is null or (${t.kind}::text in ('taken', 'reviewed') and ${t.reviewAfter} between 1 and 365)`,
    ),
    index("verdict_newest").on(t.passageId, t.place),
  ],
);

/** A day on which a passage was practised. */
export const practiceDay = pgTable(
  "practice_day",
  {
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    day: date({ mode: "string" }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.passageId, t.day] })],
);
