import type { NoteId } from "../passage/note";
import type { Fingering } from "./fingering";
import { tasksOf, type Study } from "./study";

/** The letter an option goes by: A to Z, then A2, B2 and so on. */
export function optionName(place: number): string {
  const letter = String.fromCharCode(65 + (place % 26));
  return place < 26 ? letter : `${letter}${Math.floor(place / 26) + 1}`;
}

/**
 * Of a list of good fingerings, in the order given, those worth showing, at most `most`: the first, then each that
 * differs in a musically real way from every one shown before. It does when somewhere inside the passage the thumb
 * stands elsewhere, so that the hand lies in other positions; the last onset of a hand does not count, for nothing
 * follows from it. A stated rule, without a claim of optimality.
 */
export function worthShowing(study: Study, list: readonly Fingering[], most: number): readonly Fingering[] {
  const thumbsOf = thumbPlaces(study);
  const shown: Fingering[] = [];
  const seen = new Set<string>();
  for (const fingering of list) {
    if (shown.length === most) break;
    const places = thumbsOf(fingering);
    if (seen.has(places)) continue;
    seen.add(places);
    shown.push(fingering);
  }
  return shown;
}

/** Names the notes that the thumb plays, each hand's last onset left aside. */
export function thumbPlaces(study: Study): (fingering: Fingering) => string {
  const notes: readonly NoteId[] = tasksOf(study).flatMap(({ line: { onsets } }) =>
    onsets.slice(0, Math.max(1, onsets.length - 1)).flatMap(({ struck }) => struck.map((s) => s.notes[0]!)),
  );
  return (fingering) => notes.filter((id) => fingering[id] === 1).join(" ");
}
