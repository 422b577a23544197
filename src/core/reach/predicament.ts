import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import { lineOf, type Line, type Onset } from "../passage/line";
import type { Stroke } from "../passage/strokes";
import { endOf, type Note, type NoteId } from "../passage/note";
import { playedNotes } from "../passage/passage";
import { compare, type Beats } from "../time/beats";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
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
  /** What the other hand has down at this moment as the music is written, whether it is asked to play or not. */
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
    const down = downAt(task.line, onset.index, notes);
    const other = soundingAt(lineOf(study.passage, opposite(task.line.side), study.manner), onset.at, notes);
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
      const down = downAt(task.line, onset.index, notes);
      if (down.length < 2) return [];
      const answer = holdKeys(
        down.map((d) => d.key),
        task.placements,
      );
      return [{ study, task, side: task.line.side, onset, down, answer, other: [] }];
    }),
  );
}

/** The keys one hand has down from an onset of its own on. */
export function downAt(line: Line, onset: number, notes: ReadonlyMap<NoteId, Note>): readonly Down[] {
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

/** The keys one hand has down at any moment: struck then, or struck before and not yet at their end. */
export function soundingAt(line: Line, at: Beats, notes: ReadonlyMap<NoteId, Note>): readonly Down[] {
  const last = line.onsets.findLast((onset) => compare(onset.at, at) <= 0);
  if (!last) return [];
  return downAt(line, last.index, notes).filter(({ note }) => note.onset === at || compare(endOf(note), at) > 0);
}

function opposite(side: Side): Side {
  return side === "right" ? "left" : "right";
}
