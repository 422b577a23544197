import { sql } from "drizzle-orm";
import { check, integer, jsonb, pgEnum, pgTable, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { editState } from "./fingering";
import { historyPlace } from "./history";
import { passage } from "./passage";

/** What a passage holds whole: wishes for every fingering, notes taken by the other hand, marks of the hand plan. */
export const passageChangeOf = pgEnum("passage_change_of", ["wishes", "taken", "planMarks"]);

/** The log of what was changed of a whole passage: undo and redo walk along it as along the edits of a fingering. */
export const passageChange = pgTable(
  "passage_change",
  {
    id: uuid().primaryKey().defaultRandom(),
    passageId: uuid()
      .notNull()
      .references(() => passage.id, { onDelete: "cascade" }),
    order: integer().notNull(),
    place: historyPlace(),
    what: passageChangeOf().notNull(),
    before: jsonb().$type<unknown>().notNull(),
    after: jsonb().$type<unknown>().notNull(),
    state: editState().notNull().default("applied"),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    unique("passage_change_order").on(t.passageId, t.order),
    check(
      "passage_change_states",
      sql`jsonb_typeof(${t.before}) = 'object' and jsonb_typeof(${t.after}) = 'object' and ${t.before} <> ${t.after}`,
    ),
  ],
);
