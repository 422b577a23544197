import type { NoteId } from "../passage/note";
import type { Fingering } from "../fingering/study/fingering";
import { tasksOf, type Study } from "../fingering/study/study";

/** The letter an option goes by: A to Z, then A2, B2 and so on. */
export function optionName(place: number): string {
  const letter = String.fromCharCode(65 + (place % 26));
  return place < 26 ? letter : `${letter}${Math.floor(place / 26) + 1}`;
}

/**
 * Of a list of good fingerings, in the order given, those worth showing, at most `most`: the first, then each that
 * differs in a musically real way from every one shown before; see `layOf`. A stated rule, without a claim of
 * optimality.
 */
export function worthShowing(study: Study, list: readonly Fingering[], most: number): readonly Fingering[] {
  const lies = layOf(study);
  const shown: Fingering[] = [];
  const seen = new Set<string>();
  for (const fingering of list) {
    if (shown.length === most) break;
    const lay = lies(fingering);
    if (seen.has(lay)) continue;
    seen.add(lay);
    shown.push(fingering);
  }
  return shown;
}

/**
 * Names how the hands lie in a fingering: which single notes the thumb plays, and the fingers of every chord. Two that
 * lie alike put the hand in the same places. Each hand's last onset is left aside when it is a single note, for nothing
 * follows from it.
 */
export function layOf(study: Study): (fingering: Fingering) => string {
  const singles: NoteId[] = [];
  const chords: NoteId[] = [];
  for (const { line } of tasksOf(study)) {
    for (const { index, struck } of line.onsets) {
      const notes = struck.map((s) => s.notes[0]!);
      if (notes.length > 1) chords.push(...notes);
      else if (index < line.onsets.length - 1) singles.push(...notes);
    }
  }
  return (fingering) =>
    `${singles.filter((id) => fingering[id] === 1).join(" ")};${chords.map((id) => fingering[id] ?? 0).join("")}`;
}
