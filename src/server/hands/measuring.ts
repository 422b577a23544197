import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { problemsOf } from "@/core/hand/measured";
import { PAIRS, pairName } from "@/core/hand/pair";
import type { Day } from "@/core/time/days";
import type { Db } from "@/db/client";
import { handMeasurement } from "@/db/schema";
import { serverZone, today } from "../players/day";
import { measurementData } from "./hands";
import { isHere, NOBODY } from "../players/player";
import type { Answer, MeasurementData } from "../types";

const Mm = z.number({ error: "A measurement is a number of millimetres." });
const PairAsked = z.object({ comfortable: Mm.optional(), widest: Mm.optional() });
const ByFinger = z.partialRecord(z.enum(["1", "2", "3", "4", "5"]), Mm).default({});

/** A measurement as sent: a date in ISO, lengths in mm. */
export const MeasurementAsked = z.object({
  id: z.uuid(),
  playerId: z.uuid(),
  side: z.enum(["right", "left"]),
  measuredOn: z.iso.date("Say the day as year, month and day."),
  way: z.enum(["typed", "keys", "midi"]),
  rulerSpan: Mm.optional(),
  pairs: z.partialRecord(z.enum(PAIRS.map(([a, b]) => pairName(a, b)) as [string, ...string[]]), PairAsked).default({}),
  tipWidths: ByFinger,
  behind: ByFinger,
  turnsEase: z.number({ error: "Turns of the forearm are a number a second." }).optional(),
});

/** Keeps a measurement. What no hand can be is refused with a sentence for each figure. Sent twice, it is kept once. @param on the day it is where the player is */
export async function keepMeasurement(
  db: Db,
  { id, playerId: pianistId, side, measuredOn, way, ...measured }: z.infer<typeof MeasurementAsked>,
  on: Day = today(serverZone()),
): Promise<Answer<MeasurementData>> {
  const problems = problemsOf(measured);
  if (problems.length > 0) return { ok: false, message: problems.map((p) => p.sentence).join(" ") };
  if (measured.rulerSpan === undefined && Object.keys(measured.pairs).length === 0)
    return { ok: false, message: "Give at least one opening of the hand." };
  if (measuredOn > on) return { ok: false, message: "The day of a measurement cannot lie ahead." };
  if (!(await isHere(db, pianistId))) return NOBODY;
  await db
    .insert(handMeasurement)
    .values({ id, pianistId, side, measuredOn, way, ...measured })
    .onConflictDoNothing();
  const [row] = await db
    .select()
    .from(handMeasurement)
    .where(and(eq(handMeasurement.id, id), eq(handMeasurement.pianistId, pianistId)));
  return row
    ? { ok: true, value: measurementData(row) }
    : { ok: false, message: "This measurement is not there any more." };
}
