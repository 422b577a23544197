import { eq, sql } from "drizzle-orm";
import { z } from "zod";
import type { Note } from "@/core/passage/note";
import type { NoteRemedy } from "@/core/passage/remedied";
import type { Allowances } from "@/core/reach/allowances";
import type { Beats } from "@/core/time/beats";
import type { Db } from "@/db/client";
import { fingeringsOf } from "@/db/queries/fingerings";
import { isRepeated } from "@/db/queries/history";
import { keepRemedies, remediesOf } from "@/db/queries/passages";
import { pianist } from "@/db/schema";
import { follow } from "../passages/follow";
import { GONE } from "../gone";
import { NoteName } from "../passages/note-name";
import { passageGiven } from "../passages/passage-given";
import { NOBODY } from "../players/player";
import type { Answer, RemediesKept } from "../types";

const RemedyGiven = z
  .discriminatedUnion("kind", [
    z.object({ kind: z.enum(["edges", "flat", "lean", "omit"]) }),
    z.object({ kind: z.literal("other-hand"), hand: z.enum(["right", "left"]) }),
    z.object({
      kind: z.literal("roll"),
      place: z.number().int().min(-9).max(9),
      stepMs: z.number().min(1).max(2000),
      caught: z.boolean(),
    }),
    z.object({ kind: z.literal("fold"), octaves: z.literal([1, -1]) }),
    z.object({
      kind: z.literal("shorter"),
      duration: z.string().regex(/^\d{1,9}(\/[1-9]\d{0,8})?$/, "This is no length of a note."),
    }),
  ])
  .transform((given) => ("duration" in given ? { ...given, duration: given.duration as Beats } : given) as NoteRemedy);

/** Remedies by note; null lifts one. */
export const RemediesAsked = z.object({
  id: z.uuid(),
  passageId: z.uuid(),
  notes: z
    .record(NoteName, RemedyGiven.nullable())
    .refine((notes) => Object.keys(notes).length > 0, "No note is named."),
});

/** Keeps what the player has chosen for some notes of a passage, and works its options out anew on what is played now. */
export async function chooseRemedies(
  db: Db,
  { id, passageId, notes }: z.infer<typeof RemediesAsked>,
): Promise<Answer<RemediesKept>> {
  const given = await passageGiven(db, passageId);
  if (!given) return GONE;
  const { notes: all } = given.music.passage;
  const known = new Set<string>(all.map((n) => n.id));
  const stranger = Object.keys(notes).find((note) => !known.has(note));
  if (stranger) return { ok: false, message: `There is no note ${stranger} in this passage.` };
  if (!(await keepRemedies(db, id, passageId, notes))) return GONE;
  const changed = Object.keys(notes).flatMap((note) => all.filter((n) => isAt(n, all, note)).map((n) => n.id));
  await follow(db, passageId, "music", [...new Set(changed)]);
  return {
    ok: true,
    value: { remedies: await remediesOf(db, passageId), options: await fingeringsOf(db, passageId) },
  };
}

/** Whether a note is struck at the moment of another. */
function isAt(note: Note, notes: readonly Note[], id: string): boolean {
  return note.onset === notes.find((n) => n.id === id)!.onset;
}

/** What is changed of what the player allows; the rest stays. */
export const AllowancesAsked = z
  .object({ rolls: z.boolean(), omissions: z.boolean(), pedal: z.boolean(), tuneAndBass: z.boolean() })
  .partial()
  .extend({ id: z.uuid(), playerId: z.uuid() });

export async function keepAllowances(
  db: Db,
  { id: request, playerId, ...change }: z.infer<typeof AllowancesAsked>,
): Promise<Answer<Allowances>> {
  return db.transaction(async (tx): Promise<Answer<Allowances>> => {
    const done = (await isRepeated(tx, request)) ? {} : change;
    const [kept] = await tx
      .update(pianist)
      .set({ allows: sql`${pianist.allows} || ${JSON.stringify(done)}::jsonb` })
      .where(eq(pianist.id, playerId))
      .returning({ allows: pianist.allows });
    return kept ? { ok: true, value: kept.allows } : NOBODY;
  });
}
