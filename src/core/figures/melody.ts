import type { Side } from "../hand/finger";
import type { Onset } from "../passage/line";
import type { Task } from "../fingering/study/task";
import type { NoteId, Note } from "../passage/note";
import { stepOf } from "../passage/note";

/** One onset of a hand as figures are compared by. */
export interface MelodyOnset {
  /** Within a chord from the thumb's side outwards; the same order in all three lists. */
  readonly notes: readonly NoteId[];
  readonly keys: readonly number[];
  /** Steps of the scale as written. */
  readonly steps: readonly number[];
  /** ms since the onset before, rounded to a tenth. */
  readonly gap: number;
  /** Whether it stands on a beat. */
  readonly onBeat: boolean;
}

/** What one hand plays, as figures are compared by. */
export interface Melody {
  readonly side: Side;
  readonly moments: readonly MelodyOnset[];
}

/** What one hand plays as figures are compared by: an entry an onset, the notes of each from the thumb outwards. */
export function melodyOf({ line }: Task, byId: ReadonlyMap<NoteId, Note>): Melody {
  return { side: line.side, moments: line.onsets.map((onset) => momentOf(onset, line.side, byId)) };
}

function momentOf({ struck, gap, pulse }: Onset, side: Side, byId: ReadonlyMap<NoteId, Note>): MelodyOnset {
  const fromThumb = side === "right" ? struck : [...struck].reverse();
  return {
    notes: fromThumb.map((stroke) => stroke.notes[0]!),
    keys: fromThumb.map(({ key }) => key),
    steps: fromThumb.map(({ notes }) => stepOf(byId.get(notes[0]!)!)),
    gap: Math.round(gap * 10) / 10,
    onBeat: pulse !== "between",
  };
}
