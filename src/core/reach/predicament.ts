import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import type { Onset, Stroke } from "../passage/line";
import type { Note, NoteId } from "../passage/note";
import { playedNotes } from "../passage/passage";
import { compare } from "../time/beats";
import { tasksOf, type Study } from "../fingering/study";
import type { Task } from "../fingering/task";
import { holdKeys, type KeysAnswer } from "../placement/hold";

/** A moment at which one hand has several keys to hold, and how it does. */
export interface Predicament {
  readonly study: Study;
  readonly task: Task;
  readonly side: Side;
  readonly onset: Onset;
  /** What is struck now and what is still to be held, lowest key first. */
  readonly down: readonly Down[];
  readonly answer: KeysAnswer;
  /** What the other hand has down at this moment; empty where it is not asked to play. */
  readonly other: readonly Down[];
}

/** A key that is down. */
export interface Down {
  readonly note: Note;
  readonly key: Pitch;
  readonly struck: boolean;
}

/** The moment at which a note is struck; null for a note that no hand is asked to play. */
export function predicamentAt(study: Study, id: NoteId): Predicament | null {
  const tasks = tasksOf(study);
  const notes = notesById(study);
  for (const task of tasks) {
    const stroke = task.line.strokes.find((s) => s.notes.includes(id));
    if (!stroke) continue;
    const onset = task.line.onsets[stroke.onset]!;
    const down = downAt(task, onset.index, notes);
    const opposite = tasks.find((t) => t !== task);
    const other = opposite ? downAt(opposite, indexAt(opposite, onset), notes) : [];
    const answer = holdKeys(
      down.map((d) => d.key),
      task.placements,
    );
    return { study, task, side: task.line.side, onset, down, answer, other };
  }
  return null;
}

/** Every moment at which a hand has more than one key down, hand by hand. */
export function predicamentsOf(study: Study): readonly Predicament[] {
  const notes = notesById(study);
  const tasks = tasksOf(study);
  return tasks.flatMap((task) =>
    task.line.onsets.flatMap((onset) => {
      const down = downAt(task, onset.index, notes);
      if (down.length < 2) return [];
      const answer = holdKeys(
        down.map((d) => d.key),
        task.placements,
      );
      return [{ study, task, side: task.line.side, onset, down, answer, other: [] }];
    }),
  );
}

/** The keys one hand has down from an onset on. */
export function downAt({ line }: Task, onset: number, notes: ReadonlyMap<NoteId, Note>): readonly Down[] {
  const of = (stroke: Stroke): Down => ({
    note: notes.get(stroke.notes[0]!)!,
    key: stroke.key,
    struck: stroke.onset === onset,
  });
  return line.strokes
    .filter((stroke) => stroke.onset <= onset && stroke.until > onset)
    .map(of)
    .sort((a, b) => a.key - b.key);
}

function notesById(study: Study): ReadonlyMap<NoteId, Note> {
  return new Map(playedNotes(study.passage).map((note) => [note.id, note]));
}

/** The last onset of a hand at or before a moment of the other; -1 before its first. */
function indexAt({ line }: Task, moment: Onset): number {
  let found = -1;
  for (const { index, at } of line.onsets) if (compare(at, moment.at) <= 0) found = index;
  return found;
}
