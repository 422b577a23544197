import type { Day } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import type { Db } from "@/db/client";
import { passageById } from "@/db/queries/passages";
import { pieceById } from "@/db/queries/pieces";
import { notesOf, settingsOf, takesOfDiary } from "@/db/queries/practice";
import type { DiaryNoteData, StoryData } from "../types";
import { noteData, takesByDay } from "./diary";

/** The story of a passage over the years besides its days; null where there is no such passage of the player's. */
export async function storyData(db: Db, playerId: string, passageId: string, zone: Zone): Promise<StoryData | null> {
  const passage = await passageById(db, passageId);
  const piece = passage && (await pieceById(db, passage.pieceId));
  if (!passage || piece?.pianistId !== playerId) return null;
  const always = { from: new Date(0), to: new Date("9999-12-31T00:00:00Z"), passageId };
  const [takes, notes, settings] = await Promise.all([
    takesOfDiary(db, playerId, always),
    notesOf(db, playerId, { from: "0001-01-01", to: "9999-12-31", passageId }),
    settingsOf(db, playerId),
  ]);
  const advice = new Map<string, DiaryNoteData[]>();
  for (const note of notes.map(noteData)) {
    if (note.author === null) continue;
    advice.set(note.author, [...(advice.get(note.author) ?? []), note]);
  }
  const bars = new Map<string, number[]>();
  for (const { tension, bars: named } of takes) {
    if (tension === null || !named) continue;
    for (const bar of barsBetween(named.from, named.to)) bars.set(bar, [...(bars.get(bar) ?? []), tension]);
  }
  return {
    passage: { id: passageId, title: passage.title, piece: piece.title, tempo: passage.tempo },
    advice: [...advice].map(([author, said]) => ({ author, said })),
    tempi: [...takesByDay(takes, settings?.rule ?? null, zone)].map(([day, own]) => ({
      day: day as Day,
      takes: own[0]!,
    })),
    bars: [...bars]
      .sort(([a], [b]) => a.localeCompare(b, undefined, { numeric: true }))
      .map(([bar, felt]) => ({
        bar,
        tension: felt.reduce((sum, one) => sum + one, 0) / felt.length,
        takes: felt.length,
      })),
  };
}

/** The bars from one to another as numbered on paper; the two alone where they are no plain numbers. */
function barsBetween(from: string, to: string): readonly string[] {
  const [first, last] = [Number(from), Number(to)];
  if (!Number.isInteger(first) || !Number.isInteger(last) || last < first) return [...new Set([from, to])];
  return Array.from({ length: last - first + 1 }, (_, i) => String(first + i));
}
