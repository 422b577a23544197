import { and, eq, isNotNull } from "drizzle-orm";
import { handMeasurement } from "@/db/schema";
import { dayInWords, type Belonging } from "../belonging";
import { changing } from "../changing";

export const ofMeasurements: Belonging = {
  noun: "measurement",
  untitled: true,
  ...changing(handMeasurement),
  async gone(db, pianistId) {
    const { id, title, side, measuredOn, goneAt } = handMeasurement;
    const rows = await db
      .select({ id, title, side, measuredOn, at: goneAt })
      .from(handMeasurement)
      .where(and(eq(handMeasurement.pianistId, pianistId), isNotNull(goneAt)));
    return rows.map((row) => {
      const measured = `${row.side} hand, ${dayInWords(row.measuredOn)}`;
      return { id: row.id, title: row.title ?? measured, of: row.title === null ? null : measured, at: row.at! };
    });
  },
};
