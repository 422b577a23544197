import { sql } from "drizzle-orm";
import { boolean, check, index, jsonb, pgEnum, pgTable, smallint, timestamp, uuid } from "drizzle-orm/pg-core";
import { FELT_NEXT, HALT_SIGNS, type Felt } from "@/core/trials/felt";
import { pianist } from "./pianist";
import { take } from "./take";

export const feltNext = pgEnum("felt_next", FELT_NEXT);
export const haltSign = pgEnum("halt_sign", HALT_SIGNS);

/** What was felt in a take. Private: it leaves the database only in an export that the player asks for. */
export const felt = pgTable(
  "felt",
  {
    takeId: uuid()
      .primaryKey()
      .references(() => take.id, { onDelete: "cascade" }),
    places: jsonb().$type<Felt["places"]>().notNull(),
    amount: smallint().notNull(),
    bars: jsonb().$type<NonNullable<Felt["bars"]>>(),
    loose: boolean(),
    /** Whether it was easy, in the player's own word; null where they did not say. */
    easy: boolean(),
    next: feltNext(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check("felt_amount", sql`${t.amount} between 0 and 10`),
    check("felt_places", sql`jsonb_typeof(${t.places}) = 'array'`),
  ],
);

/** A time in which a player has stopped, from a sign on until they lift it themselves. Private, as above. */
export const halt = pgTable(
  "halt",
  {
    /** Given by the page, so that sending it twice keeps it once. */
    id: uuid().primaryKey(),
    pianistId: uuid()
      .notNull()
      .references(() => pianist.id, { onDelete: "cascade" }),
    sign: haltSign().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** When the player lifted it; null while it holds. */
    liftedAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    check("halt_lifted_after", sql`${t.liftedAt} is null or ${t.liftedAt} >= ${t.at}`),
    index("halt_of_pianist").on(t.pianistId, t.at),
  ],
);
