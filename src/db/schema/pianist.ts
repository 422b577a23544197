import { sql } from "drizzle-orm";
import { check, date, doublePrecision, index, pgEnum, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { HAND, KEYBOARD } from "@/core/physics";

export const side = pgEnum("side", ["right", "left"]);

export const pianist = pgTable("pianist", {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull(),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});

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
    /** mm on a ruler, outer edge of thumb to outer edge of little finger. */
    rulerSpan: doublePrecision().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check(
      "hand_measurement_span",
      sql`${t.rulerSpan} between ${sql.raw(String(HAND.rulerSpanRange[0]))} and ${sql.raw(String(HAND.rulerSpanRange[1]))}`,
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
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    check(
      "instrument_octave",
      sql`${t.octaveWidth} between ${sql.raw(String(KEYBOARD.octaveWidthRange[0]))} and ${sql.raw(String(KEYBOARD.octaveWidthRange[1]))}`,
    ),
  ],
);

export const recital = pgTable("recital", {
  id: uuid().primaryKey().defaultRandom(),
  pianistId: uuid()
    .notNull()
    .references(() => pianist.id, { onDelete: "cascade" }),
  title: text().notNull(),
  heldOn: date({ mode: "string" }).notNull(),
});
