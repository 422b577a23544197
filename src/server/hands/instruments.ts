import { and, eq, isNull, sql } from "drizzle-orm";
import { z } from "zod";
import { KEYBOARD } from "@/core/physics";
import type { Db } from "@/db/client";
import { isRepeated } from "@/db/queries/history";
import { instrument } from "@/db/schema";
import { instrumentsData } from "./hands";
import { isHere, NOBODY } from "../players/player";
import { name } from "../text";
import type { Answer, InstrumentData } from "../types";

const [LEAST, MOST] = KEYBOARD.octaveWidthRange;

export const NewInstrument = z.object({
  /** Given by the page, so that sending it twice makes one. */
  id: z.uuid(),
  playerId: z.uuid(),
  name: name("instrument"),
  octaveWidth: z
    .number({ error: "Say the octave width in millimetres." })
    .min(LEAST, `An octave is at least ${LEAST} mm wide.`)
    .max(MOST, `An octave is at most ${MOST} mm wide.`),
});

export async function addInstrument(
  db: Db,
  { playerId: pianistId, ...asked }: z.infer<typeof NewInstrument>,
): Promise<Answer<readonly InstrumentData[]>> {
  if (!(await isHere(db, pianistId))) return NOBODY;
  await db
    .insert(instrument)
    .values({ ...asked, pianistId })
    .onConflictDoNothing();
  return { ok: true, value: await instrumentsData(db, pianistId) };
}

export const TakeUp = z.object({ id: z.uuid(), request: z.uuid() });

/** Turns to another of the player's instruments. */
export async function takeUpInstrument(
  db: Db,
  { id, request }: z.infer<typeof TakeUp>,
): Promise<Answer<readonly InstrumentData[]>> {
  const isIt = and(eq(instrument.id, id), isNull(instrument.goneAt));
  const [taken] = await db.transaction(async (tx) => {
    const [own] = await tx.select().from(instrument).where(isIt);
    if (!own || (await isRepeated(tx, request))) return [own];
    // Later than any other, whatever the clock says.
    const newest = sql`greatest(now(), (select max(taken_up_at) + interval '1 ms' from instrument where pianist_id = ${own.pianistId}))`;
    return tx.update(instrument).set({ takenUpAt: newest }).where(isIt).returning();
  });
  if (!taken) return { ok: false, message: "This instrument is not there any more." };
  return { ok: true, value: await instrumentsData(db, taken.pianistId) };
}
