import { sql } from "drizzle-orm";
import { bigint, pgSequence, pgTable, timestamp, uuid } from "drizzle-orm/pg-core";

/** One order for everything that happens, whatever the clock says. */
export const historyOrder = pgSequence("history_order");

/** The place of an event in that order. */
export const historyPlace = () =>
  bigint({ mode: "number" })
    .notNull()
    .default(sql`nextval('history_order')`);

/** Requests that have been done, by the id the page gave them: sent again, they do nothing. */
export const request = pgTable("request", {
  id: uuid().primaryKey(),
  at: timestamp({ withTimezone: true }).notNull().defaultNow(),
});
