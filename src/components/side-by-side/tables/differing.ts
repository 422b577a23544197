import type { Fingering } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";

/** The notes that not all fingerings play with the same finger, in order. */
export function differing(notes: readonly NoteId[], all: readonly Fingering[]): readonly NoteId[] {
  return notes.filter((id) => all.some((digits) => (digits[id] ?? null) !== (all[0]![id] ?? null)));
}

/** The next place of difference after a note, or before it, and from the last on to the first; null where there is none. */
export function differingNext(
  notes: readonly NoteId[],
  differ: readonly NoteId[],
  from: NoteId,
  by: 1 | -1,
): NoteId | null {
  if (differ.length === 0) return null;
  const place = notes.indexOf(from);
  const next =
    by === 1 ? differ.find((id) => notes.indexOf(id) > place) : differ.findLast((id) => notes.indexOf(id) < place);
  return next ?? (by === 1 ? differ[0]! : differ.at(-1)!);
}
