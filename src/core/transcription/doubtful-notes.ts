import type { Note } from "../passage/note";
import type { Doubt } from "./transcript";

/**
 * The notes of the score that was heard that doubts are about, by the place of the doubt; null where a doubt does not say where
 * it is, as those did not that were kept before this was asked, and where no note stands there.
 * @param notes of the score, in any order
 */
export function doubtfulNotes(doubts: readonly Doubt[], notes: readonly Note[]): readonly (Note | null)[] {
  const placeOf = (pitch: number, at: string): string => `${pitch} ${at}`;
  const byPlace = new Map<string, Note>();
  for (const note of notes) {
    const place = placeOf(note.pitch, note.onset);
    if (!byPlace.has(place)) byPlace.set(place, note);
  }
  return doubts.map(({ pitch, at }) => byPlace.get(placeOf(pitch, at)) ?? null);
}
