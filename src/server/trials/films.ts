import { and, desc, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { MARK_NAMES, type HandMarks } from "@/core/film/hand-marked";
import type { FilmMarks } from "@/core/film/film-marks";
import { SEEN_FAULT_IDS } from "@/core/film/seen";
import type { Pitch } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import { KEYBOARD } from "@/core/physics";
import type { Db } from "@/db/client";
import { passageById } from "@/db/queries/passages";
import { film } from "@/db/schema";
import { GONE } from "../gone";
import { NoteName } from "../passages/note-name";
import type { Answer, FilmData } from "../types";

/** Hands and faults marked in one film at most. */
const MOST_MARKED = 5_000;

const Place = z.object({ x: z.number(), y: z.number() });
const Key = z
  .number()
  .int()
  .min(KEYBOARD.lowestKey)
  .max(KEYBOARD.highestKey)
  .transform((key) => key as Pitch);

const Marks = z.object({
  keys: z.object({ lowest: Key, highest: Key, corners: z.tuple([Place, Place, Place, Place]) }).nullable(),
  hands: z
    .array(
      z.object({
        picture: z.number().int().min(0),
        side: z.enum(["right", "left"]),
        note: NoteName.transform((name) => name as NoteId).nullable(),
        marks: z
          .partialRecord(z.enum(MARK_NAMES as [string, ...string[]]), Place)
          .transform((marks) => marks as HandMarks),
      }),
    )
    .max(MOST_MARKED),
  seen: z.array(z.object({ fault: z.enum(SEEN_FAULT_IDS), bar: z.string().min(1).max(20) })).max(MOST_MARKED),
});

export const FilmMarksAsked = z.object({ id: z.uuid(), marks: Marks });

/** Keeps what is marked in a film that is kept. */
export async function markFilm(
  db: Db,
  { id, marks }: { readonly id: string; readonly marks: FilmMarks },
): Promise<Answer<null>> {
  const done = await db.update(film).set({ marks }).where(eq(film.id, id)).returning({ id: film.id });
  return done.length > 0 ? { ok: true, value: null } : GONE;
}

/** Keeps a clip or a photograph with a passage: only because the player asks for it. */
export async function keepFilm(
  db: Db,
  passageId: string,
  { name, type, bytes }: { readonly name: string; readonly type: string; readonly bytes: Uint8Array },
): Promise<Answer<FilmData>> {
  if (!/^(video|image)\/[a-z0-9.+-]+$/.test(type))
    return { ok: false, message: `${name} is neither a clip nor a photograph.` };
  if (!(await passageById(db, passageId))) return GONE;
  const [made] = await db.insert(film).values({ passageId, name, type, bytes }).returning();
  return { ok: true, value: filmData(made!) };
}

/** The films of a passage, newest first, without their bytes. */
export async function filmsData(db: Db, passageId: string): Promise<readonly FilmData[]> {
  const found = await db
    .select({ id: film.id, name: film.name, type: film.type, marks: film.marks })
    .from(film)
    .where(and(eq(film.passageId, passageId), isNull(film.goneAt)))
    .orderBy(desc(film.at));
  return found.map(filmData);
}

function filmData({
  id,
  name,
  type,
  marks,
}: Pick<typeof film.$inferSelect, "id" | "name" | "type" | "marks">): FilmData {
  return { id, name, type, marks };
}

/** The file of a film as it came; null where there is none. */
export async function filmFile(
  db: Db,
  id: string,
): Promise<{ readonly type: string; readonly bytes: Uint8Array } | null> {
  const [found] = await db.select({ type: film.type, bytes: film.bytes }).from(film).where(eq(film.id, id));
  return found ?? null;
}
