import { TOLD } from "../../physics";
import type { NoteId } from "../../passage/note";
import { compareFingerings } from "./compare";
import type { Fingering } from "../study/fingering";
import { judge, notesAsked, type Study } from "../study/study";

/** A stretch of a given fingering that the engine would finger otherwise, and why. */
export interface FingerChange {
  readonly notes: readonly NoteId[];
  readonly from: readonly (number | null)[];
  readonly to: readonly (number | null)[];
  /** Change of the mean strain when this stretch alone is changed; negative where that already helps. */
  readonly by: number;
  /** What is gained and lost by it, in words. */
  readonly why: string;
}

/**
 * What would be changed in a given fingering to come to a better one, stretch by stretch: runs of notes on which
 * they differ, together where fewer than TOLD.adviceApart notes lie between.
 */
export function adviceOn(study: Study, given: Fingering, better: Fingering): readonly FingerChange[] {
  const before = judge(study, given);
  return stretches(notesAsked(study), given, better).map((notes): FingerChange => {
    const changed = { ...given, ...Object.fromEntries(notes.map((id) => [id, better[id] ?? null])) };
    const comparison = compareFingerings(study, judge(study, changed), before);
    return {
      notes,
      from: notes.map((id) => given[id] ?? null),
      to: notes.map((id) => better[id] ?? null),
      by: comparison.by,
      why: comparison.sentence,
    };
  });
}

/**
 * Runs of notes on which two fingerings differ, together where fewer than TOLD.adviceApart notes of agreement lie between.
 */
export function stretches(
  notes: readonly NoteId[],
  given: Fingering,
  better: Fingering,
): readonly (readonly NoteId[])[] {
  const runs: NoteId[][] = [];
  let last = -Infinity;
  notes.forEach((id, at) => {
    if ((given[id] ?? null) === (better[id] ?? null)) return;
    if (at - last <= TOLD.adviceApart) runs.at(-1)!.push(id);
    else runs.push([id]);
    last = at;
  });
  return runs;
}
