import { eq } from "drizzle-orm";
import { z } from "zod";
import type { Note } from "@/core/passage/note";
import type { NoteRemedy } from "@/core/passage/remedied";
import type { Allowances } from "@/core/reach/allowances";
import type { Beats } from "@/core/time/beats";
import type { Db } from "@/db/client";
import { keepRemedies, passageById, remediesOf } from "@/db/queries/passages";
import { pieceById } from "@/db/queries/pieces";
import { pianist } from "@/db/schema";
import { passageFrom } from "@/formats/musicxml/passage";
import { GONE } from "./gone";
import { NoteName } from "./options";
import { player } from "./player";
import { reworkOptions } from "./rework";
import { scoreOf } from "./scores";
import type { Answer, RemediesKept } from "./types";

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
    z.object({ kind: z.literal("shorter"), duration: z.string().regex(/^\d+(\/\d+)?$/) }),
  ])
  .transform((given) => ("duration" in given ? { ...given, duration: given.duration as Beats } : given) as NoteRemedy);

/** Remedies by note; null lifts one. */
export const RemediesAsked = z.object({
  passageId: z.uuid(),
  notes: z
    .record(NoteName, RemedyGiven.nullable())
    .refine((notes) => Object.keys(notes).length > 0, "No note is named."),
});

/** Keeps what the player has chosen for some notes of a passage, and works its options out anew on what is played now. */
export async function chooseRemedies(
  db: Db,
  { passageId, notes }: z.infer<typeof RemediesAsked>,
): Promise<Answer<RemediesKept>> {
  const passage = await passageById(db, passageId);
  const piece = passage && (await pieceById(db, passage.pieceId));
  if (!passage || !piece) return GONE;
  const music = passageFrom(scoreOf(piece).part, passage.fromBar, passage.toBar, passage.hands);
  const known = new Set<string>(music.notes.map((n) => n.id));
  const stranger = Object.keys(notes).find((id) => !known.has(id));
  if (stranger) return { ok: false, message: `There is no note ${stranger} in this passage.` };
  await keepRemedies(db, passageId, notes);
  const changed = Object.keys(notes).flatMap((id) =>
    music.notes.filter((n) => isAt(n, music.notes, id)).map((n) => n.id),
  );
  const options = await reworkOptions(db, { passageId }, new Set(changed));
  if (!options.ok) return options;
  return { ok: true, value: { remedies: await remediesOf(db, passageId), options: options.value } };
}

/** Whether a note is struck at the moment of another. */
function isAt(note: Note, notes: readonly Note[], id: string): boolean {
  return note.onset === notes.find((n) => n.id === id)!.onset;
}

export const AllowancesAsked = z.object({
  rolls: z.boolean(),
  omissions: z.boolean(),
  pedal: z.boolean(),
  tuneAndBass: z.boolean(),
});

export async function keepAllowances(db: Db, allows: z.infer<typeof AllowancesAsked>): Promise<Answer<Allowances>> {
  const { id } = await player(db);
  await db.update(pianist).set({ allows }).where(eq(pianist.id, id));
  return { ok: true, value: allows };
}
