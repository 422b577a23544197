import type { Line } from "../passage/line";
import type { NoteId } from "../passage/note";

/** Onsets of a line from the first to the last, by Onset.index, both counted. */
export interface Range {
  readonly first: number;
  readonly last: number;
}

/** Whether one range lies in another, or is it. */
export function isWithin(inner: Range, outer: Range): boolean {
  return inner.first >= outer.first && inner.last <= outer.last;
}

/** Whether one range begins or ends in the midst of another and goes on beyond it. */
export function liesAcross(one: Range, other: Range): boolean {
  const isApart = one.last < other.first || other.last < one.first;
  return !isApart && !isWithin(one, other) && !isWithin(other, one);
}

/** The onsets from the first to the last of some notes of a line; notes of another hand are passed over. */
export function onsetsOf({ strokes }: Line): (notes: readonly NoteId[]) => Range {
  const onsetOf = new Map<NoteId, number>();
  for (const { notes, onset } of strokes) for (const note of notes) onsetOf.set(note, onset);
  return (notes) => {
    const onsets = notes.flatMap((note) => onsetOf.get(note) ?? []);
    return { first: Math.min(...onsets), last: Math.max(...onsets) };
  };
}
