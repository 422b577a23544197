import type { NoteId } from "../passage/note";
import type { Fingering } from "./fingering";

/** The letter an option goes by: A to Z, then A2, B2 and so on. */
export function optionName(place: number): string {
  const letter = String.fromCharCode(65 + (place % 26));
  return place < 26 ? letter : `${letter}${Math.floor(place / 26) + 1}`;
}

/**
 * Of a list of good fingerings, best first, those worth showing, at most `most`: the best, then each that
 * puts the thumb elsewhere than every one shown before; where too few do, the next best follow.
 * A stated rule, without a claim of optimality.
 */
export function worthShowing(list: readonly Fingering[], notes: readonly NoteId[], most: number): readonly Fingering[] {
  const shown: Fingering[] = [];
  const thumbs = new Set<string>();
  for (const fingering of list) {
    if (shown.length === most) return shown;
    const places = thumbPlaces(fingering, notes);
    if (thumbs.has(places)) continue;
    thumbs.add(places);
    shown.push(fingering);
  }
  for (const fingering of list) {
    if (shown.length === most) break;
    if (!shown.includes(fingering)) shown.push(fingering);
  }
  return shown;
}

function thumbPlaces(fingering: Fingering, notes: readonly NoteId[]): string {
  return notes.filter((id) => fingering[id] === 1).join(" ");
}
