import { and, asc, eq } from "drizzle-orm";
import { z } from "zod";
import { DAY_PLAN } from "@/core/physics";
import { TEMPO_RANGE } from "@/core/passage/passage";
import type { Zone } from "@/core/time/zone";
import type { Db, Tx } from "@/db/client";
import { isRepeated } from "@/db/queries/history";
import { block, dayPlan, practiceDay } from "@/db/schema";
import { GONE } from "../gone";
import { today } from "../players/day";
import { text } from "../text";
import type { Answer, TodayData } from "../types";
import { todayData } from "./today";

const minutes = z
  .number()
  .int("Minutes are whole ones.")
  .min(1, "A block lasts a minute at least.")
  .max(DAY_PLAN.range[1], "A block is no longer than six hours.");

const Change = z.discriminatedUnion("kind", [
  /** To stand where another stands now, that one and those behind it a place later. */
  z.object({ kind: z.literal("move"), before: z.uuid().nullable() }),
  z.object({ kind: z.literal("minutes"), minutes }),
  z.object({ kind: z.literal("strike") }),
  z.object({ kind: z.literal("restore") }),
  z.object({
    kind: z.literal("done"),
    minutes: minutes.min(0),
    tempo: z.number().min(TEMPO_RANGE[0]).max(TEMPO_RANGE[1]).nullable(),
    count: z
      .object({ good: z.number().int().min(0), plays: z.number().int().min(0).max(10_000) })
      .refine(({ good, plays }) => good <= plays, "No more plays can be good than there were.")
      .nullable(),
    loose: z.boolean().nullable(),
    note: text([2000, "A note has at most 2000 letters."]),
  }),
  z.object({ kind: z.literal("undone") }),
]);

export const BlockChange = z.object({ id: z.uuid(), request: z.uuid(), playerId: z.uuid(), change: Change });

/** Changes a block of a planned day by hand, or says what came of it. Sent twice, it is done once. */
export async function changeBlock(
  db: Db,
  { id, request, playerId, change }: z.infer<typeof BlockChange>,
  zone: Zone,
): Promise<Answer<TodayData>> {
  const isThere = await db.transaction(async (tx) => {
    const [found] = await tx
      .select({ block, on: dayPlan.on })
      .from(block)
      .innerJoin(dayPlan, eq(dayPlan.id, block.dayPlanId))
      .where(and(eq(block.id, id), eq(dayPlan.pianistId, playerId)))
      .for("update");
    if (!found) return false;
    if (await isRepeated(tx, request)) return true;
    await CHANGES[change.kind](tx, found, change as never);
    return true;
  });
  return isThere ? { ok: true, value: await todayData(db, playerId, today(zone), zone) } : GONE;
}

interface Found {
  readonly block: typeof block.$inferSelect;
  readonly on: string;
}
type Made<K> = Extract<z.infer<typeof Change>, { readonly kind: K }>;
type Changes = {
  readonly [K in z.infer<typeof Change>["kind"]]: (tx: Tx, found: Found, change: Made<K>) => Promise<void>;
};

const CHANGES: Changes = {
  move: async (tx, { block: own }, { before }) => {
    const all = await tx
      .select({ id: block.id })
      .from(block)
      .where(eq(block.dayPlanId, own.dayPlanId))
      .orderBy(asc(block.place));
    const others = all.map((one) => one.id).filter((one) => one !== own.id);
    const at = before === null ? others.length : others.indexOf(before);
    if (at < 0) return;
    const order = [...others.slice(0, at), own.id, ...others.slice(at)];
    for (const [place, one] of order.entries()) await tx.update(block).set({ place }).where(eq(block.id, one));
  },
  minutes: async (tx, { block: own }, { minutes: next }) => {
    const share = next / own.minutes;
    await set(tx, own.id, { minutes: next, doseRight: own.doseRight * share, doseLeft: own.doseLeft * share });
  },
  strike: (tx, { block: own }) => set(tx, own.id, { state: "struck", ...NOT_DONE }),
  restore: (tx, { block: own }) => set(tx, own.id, { state: "planned" }),
  done: async (tx, { block: own, on }, { minutes: doneMinutes, tempo, count, loose, note }) => {
    const { good, plays } = count ?? { good: null, plays: null };
    await set(tx, own.id, { state: "done", doneMinutes, doneAt: new Date(), tempo, good, plays, loose, note });
    // What was practised counts for the review of its fingering as well.
    if (own.passageId !== null && own.doing !== "warm-up" && doneMinutes > 0)
      await tx.insert(practiceDay).values({ passageId: own.passageId, day: on }).onConflictDoNothing();
  },
  undone: (tx, { block: own }) => set(tx, own.id, { state: "planned", ...NOT_DONE }),
};

const NOT_DONE = { doneMinutes: null, doneAt: null, tempo: null, good: null, plays: null, loose: null, note: "" };

async function set(tx: Tx, id: string, to: Partial<typeof block.$inferInsert>): Promise<void> {
  await tx.update(block).set(to).where(eq(block.id, id));
}
