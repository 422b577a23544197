import { sql } from "drizzle-orm";
import { check, index, pgEnum, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { fingering } from "./fingering";
import { passage } from "./passage";

export const verdictKind = pgEnum("verdict_kind", ["taken", "reopened"]);

/** What was decided about a passage, event by event; the newest counts, none is ever changed. */
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
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("verdict_taken", sql`(${t.kind} = 'taken') = (${t.fingeringId} is not null)`),
    index("verdict_newest").on(t.passageId, t.at),
  ],
);
