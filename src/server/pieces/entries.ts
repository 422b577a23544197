import { eq } from "drizzle-orm";
import { z } from "zod";
import { MOST_BARS, namesOf, VOICES, type Entry, type VoiceIndex } from "@/core/entry/entry";
import { barBeats, BASES, sumOf, TUPLETS } from "@/core/entry/length";
import { keyOf } from "@/core/entry/spelling";
import { isOnKeyboard } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import { TEMPO_RANGE } from "@/core/passage/passage";
import { compare } from "@/core/time/beats";
import type { Db, Tx } from "@/db/client";
import { renameNotes } from "@/db/queries/edits";
import { allFingeringIds } from "@/db/queries/fingerings";
import { lockPassage, reviseInPlace } from "@/db/queries/history";
import { renameMarks } from "@/db/queries/passages";
import { allPassagesOf, lockPiece, passagesOf, pieceById } from "@/db/queries/pieces";
import { passage, piece } from "@/db/schema";
import { writeEntry } from "@/formats/musicxml/writing/write-entry";
import { follow } from "../passages/follow";
import { isHere, NOBODY } from "../players/player";
import { name } from "../text";
import type { Answer, EntryData } from "../types";

const Pitch = z
  .object({
    step: z.enum(["C", "D", "E", "F", "G", "A", "B"]),
    alter: z.number().int().min(-2).max(2),
    octave: z.number().int(),
  })
  .refine((pitch) => isOnKeyboard(keyOf(pitch)), { message: "A note is not on the keyboard." });

const Item = z.object({
  id: z.string().min(1).max(40),
  pitches: z.array(Pitch).max(10),
  length: z.object({
    base: z.literal(BASES),
    dotted: z.boolean(),
    tuplet: z
      .tuple([z.number(), z.number()])
      .refine((given) => TUPLETS.some(([a, b]) => a === given[0] && b === given[1]), {
        message: "There is no such tuplet.",
      })
      .nullable(),
  }),
  tied: z.boolean(),
});

const Voice = z.array(Item).max(200);

const EntryGiven = z
  .object({
    title: name("piece"),
    fifths: z.number().int().min(-7).max(7),
    time: z.tuple([z.number().int().min(1).max(16), z.literal([2, 4, 8, 16])]),
    tempo: z.number().min(TEMPO_RANGE[0]).max(TEMPO_RANGE[1]),
    bars: z
      .array(z.tuple([Voice, Voice, Voice, Voice]))
      .min(1)
      .max(MOST_BARS),
  })
  .transform((given) => given as unknown as Entry);

/** An entry to keep: a new piece under a name the page has given it, or one that is there already. */
export const EntryAsked = z.object({
  pieceId: z.uuid(),
  playerId: z.uuid(),
  entry: EntryGiven,
  seen: z.string().nullable(),
});

export interface EntryKept {
  readonly outcome: "kept" | "outdated";
  /** What is kept now, and a sign of it that the next change must name. */
  readonly entry: Entry;
  readonly seen: string;
}

/**
 * Keeps music entered step by step, with the score that is written from it. Where the piece has passages, everything
 * keyed by its notes goes over to their new names. Refused where another window has kept something else meanwhile.
 * @returns outdated with what is there, and nothing overwritten
 */
export async function keepEntry(
  db: Db,
  { pieceId, playerId: pianistId, entry, seen }: z.infer<typeof EntryAsked>,
): Promise<Answer<EntryKept>> {
  if (entry.bars.every((bar) => bar.every((voice) => voice.every((item) => item.pitches.length === 0))))
    return { ok: false, message: "There is no note yet." };
  const overfull = entry.bars.findIndex((_, bar) => VOICES.some((voice) => overfills(entry, bar, voice)));
  if (overfull >= 0) return { ok: false, message: `Bar ${overfull + 1} holds more than its metre.` };
  const source = new TextEncoder().encode(writeEntry(entry));
  if (!(await isHere(db, pianistId))) return NOBODY;
  const answer = await db.transaction(async (tx): Promise<Answer<EntryKept>> => {
    const fresh = {
      id: pieceId,
      pianistId,
      title: entry.title,
      sourceKind: "entered",
      source,
      partId: "P1",
      entry,
    } as const;
    const kept = { ok: true, value: { outcome: "kept", entry, seen: signOf(entry) } } as const;
    const [made] = await tx.insert(piece).values(fresh).onConflictDoNothing().returning({ id: piece.id });
    if (made) return kept;
    const before = await lockPiece(tx, pieceId);
    if (!before?.entry) return { ok: false, message: "This piece came from a file; its notes are not edited here." };
    const there = signOf(before.entry);
    if (there === signOf(entry)) return kept;
    if (seen !== there) return { ok: true, value: { outcome: "outdated", entry: before.entry, seen: there } };
    await tx.update(piece).set({ title: entry.title, source, entry }).where(eq(piece.id, pieceId));
    await goOver(tx, pieceId, before.entry, entry);
    return kept;
  });
  if (answer.ok && answer.value.outcome === "kept")
    for (const { id } of await passagesOf(db, pieceId)) await follow(db, id, "music");
  return answer;
}

/** Whether a voice of a bar lasts longer than the bar. */
function overfills(entry: Entry, bar: number, voice: VoiceIndex): boolean {
  const items = entry.bars[bar]![voice];
  return compare(sumOf(items.map(({ length }) => length)), barBeats(entry.time)) > 0;
}

/** Everything that speaks of an entry's notes takes on their new names, what was taken away too: it may come back. */
async function goOver(tx: Tx, pieceId: string, before: Entry, after: Entry): Promise<void> {
  const names = renaming(before, after);
  const rename = (note: NoteId): NoteId | undefined => names.get(note);
  for (const { id, fromBar, toBar } of await allPassagesOf(tx, pieceId)) {
    await lockPassage(tx, id);
    const last = after.bars.length;
    const whole = fromBar === 1 && toBar === before.bars.length;
    const [from, to] = [Math.min(fromBar, last), whole ? last : Math.min(toBar, last)];
    const range = { fromBar: from, toBar: to, printedBars: { from: String(from), to: String(to) } };
    await tx.update(passage).set(range).where(eq(passage.id, id));
    for (const option of await allFingeringIds(tx, id)) await renameNotes(tx, option, rename);
    await renameMarks(tx, id, rename);
    await reviseInPlace(tx, id);
  }
}

/** The new name of every note that is still there: the same item, the same key. */
function renaming(before: Entry, after: Entry): ReadonlyMap<NoteId, NoteId> {
  const [was, is] = [namesOf(before), namesOf(after)];
  const items = new Map(after.bars.flat(2).map((item) => [item.id, item]));
  const renamed = new Map<NoteId, NoteId>();
  for (const { id, pitches } of before.bars.flat(2)) {
    const now = items.get(id);
    if (!now) continue;
    pitches.forEach((pitch, i) => {
      const at = now.pitches.findIndex((p) => keyOf(p) === keyOf(pitch));
      const to = now.pitches.length === pitches.length && at < 0 ? i : at;
      if (to >= 0) renamed.set(was.get(id)![i]!, is.get(id)![to]!);
    });
  }
  return renamed;
}

/** A sign by which two states of an entry are told apart, whatever the order its parts are kept in. */
function signOf({ title, fifths, time, tempo, bars }: Entry): string {
  const voices = bars.map((bar) =>
    bar.map((items) =>
      items.map(({ id, pitches, length, tied }) => [
        id,
        pitches.map(keySign),
        length.base,
        length.dotted,
        length.tuplet,
        tied,
      ]),
    ),
  );
  return JSON.stringify([title, fifths, time, tempo, voices]);
}

function keySign({ step, alter, octave }: Entry["bars"][number][0][number]["pitches"][number]): string {
  return `${step}${alter}${octave}`;
}

/** What was entered for a piece, with its first passage; null where there is no such piece, or it came from a file. */
export async function entryData(db: Db, pieceId: string): Promise<(EntryData & { readonly seen: string }) | null> {
  const found = await pieceById(db, pieceId);
  if (!found?.entry) return null;
  const [first] = await passagesOf(db, pieceId);
  return {
    pieceId,
    playerId: found.pianistId,
    entry: found.entry,
    passageId: first?.id ?? null,
    seen: signOf(found.entry),
  };
}

export const OpenAsked = z.object({ pieceId: z.uuid(), hands: z.enum(["right", "left", "both"]) });

/** The passage that an entered piece is worked on as: the first it has, or all its bars as a new one. */
export async function openEntry(
  db: Db,
  { pieceId, hands }: z.infer<typeof OpenAsked>,
): Promise<Answer<{ passageId: string }>> {
  const found = await pieceById(db, pieceId);
  if (!found?.entry) return { ok: false, message: "This piece is not there any more." };
  const [first] = await passagesOf(db, pieceId);
  if (first) return { ok: true, value: { passageId: first.id } };
  const { title, tempo, bars } = found.entry;
  return db.transaction(async (tx) => {
    // Asked twice at once, there is one.
    await lockPiece(tx, pieceId);
    const [there] = await passagesOf(tx, pieceId);
    if (there) return { ok: true, value: { passageId: there.id } };
    const [made] = await tx
      .insert(passage)
      .values({ pieceId, title, fromBar: 1, toBar: bars.length, hands, tempo })
      .returning({ id: passage.id });
    return { ok: true, value: { passageId: made!.id } };
  });
}
