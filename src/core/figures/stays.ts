import { WEIGHTS } from "../fingering/cost/weights";
import type { Stay } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import { limitsOf } from "../hand/hand";
import { contactOn } from "../keyboard/contact";
import type { Line } from "../passage/line";
import type { NoteId } from "../passage/note";
import { STAY } from "../physics";
import { feelsTheSame, type Figure } from "./figure";

/**
 * Where the hand stays: stretches in which a few keys that lie under one hand are struck again and again, so that a pianist puts
 * the hand on them as on a chord, and each key keeps its finger. From left to right, each as long as it may be. Not where a figure
 * is moved along that is not whole in it, for the hand moves with that.
 * @param figures those of the study
 */
export function staysOf(study: Study, figures: readonly Figure[]): readonly Stay[] {
  const { memory } = study.weights ?? WEIGHTS;
  return tasksOf(study).flatMap((task) => {
    const stays: Stay[] = [];
    const moves = movesIn(task.line, figures);
    for (let from = 0; from < task.line.onsets.length;) {
      const end = endOfStay(task, from, moves);
      if (end !== null) stays.push({ keys: keysFrom(task.line, from, end), worth: memory });
      from = end ?? from + 1;
    }
    return stays;
  });
}

/** Onsets from the first to the last, both counted. */
interface Range {
  readonly first: number;
  readonly last: number;
}

/** For each onset in a figure that is moved along, the onsets of that figure and of all that it is moved to. */
function movesIn({ strokes }: Line, figures: readonly Figure[]): ReadonlyMap<number, Range> {
  const moves = new Map<number, Range>();
  const onsetOf = new Map<NoteId, number>();
  for (const { notes, onset } of strokes) for (const note of notes) onsetOf.set(note, onset);
  for (const { notes, returns } of figures) {
    const elsewhere = returns.filter((given) => given.by !== 0 && feelsTheSame(given));
    for (const given of elsewhere) {
      const onsets = [...notes, ...given.notes].flatMap((note) => onsetOf.get(note) ?? []);
      for (const onset of onsets) {
        const { first, last } = moves.get(onset) ?? { first: onset, last: onset };
        moves.set(onset, { first: Math.min(first, ...onsets), last: Math.max(last, ...onsets) });
      }
    }
  }
  return moves;
}

/** The onset after the longest stay that begins at one; null where none does. */
function endOfStay(task: Task, from: number, moves: ReadonlyMap<number, Range>): number | null {
  const { onsets } = task.line;
  const stretch = new Stretch(task, from);
  let [first, last] = [from, from];
  let end: number | null = null;
  for (let index = from; index < onsets.length && (end !== null || index < from + STAY.shownWithin); index++) {
    if (!stretch.takes(index)) return end;
    first = Math.min(first, moves.get(index)?.first ?? index);
    last = Math.max(last, moves.get(index)?.last ?? index);
    if (first === from && last === index && stretch.isStay(index)) end = index + 1;
  }
  return end;
}

/** Some onsets running, with what is struck in them. */
class Stretch {
  /** How often each key is struck. */
  private readonly times = new Map<number, number>();
  private strokes = 0;
  private left = Infinity;
  private right = -Infinity;

  constructor(
    private readonly task: Task,
    private readonly from: number,
  ) {}

  /** Takes one onset more; false where its keys and those before do not lie under one hand, or are more than it has fingers. */
  takes(index: number): boolean {
    const { line, hand, instrument } = this.task;
    for (const { key } of line.onsets[index]!.struck) {
      const { x } = contactOn(key, instrument);
      this.left = Math.min(this.left, x);
      this.right = Math.max(this.right, x);
      if (isTwiceRunning(line, this.from, index, key)) continue;
      this.times.set(key, (this.times.get(key) ?? 0) + 1);
      this.strokes++;
    }
    return this.times.size <= STAY.mostKeys && this.right - this.left <= limitsOf(hand, 1, 5).widestPractical;
  }

  /** Whether the hand stays up to an onset, the last that was taken. */
  isStay(index: number): boolean {
    const { times, strokes } = this;
    if (times.size < STAY.leastKeys || strokes < STAY.strokesAKey * times.size) return false;
    return this.isAgain(this.from) && this.isAgain(index);
  }

  /** Whether what is struck at an onset is struck at another too: a stay begins and ends so, all else leads to it or on. */
  private isAgain(index: number): boolean {
    return this.task.line.onsets[index]!.struck.every(({ key }) => this.times.get(key)! > 1);
  }
}

/** Whether a key was struck by the onset before as well: it may want another finger then, and is no sign that the hand stays. */
function isTwiceRunning({ onsets }: Line, from: number, index: number, key: number): boolean {
  return index > from && onsets[index - 1]!.struck.some((stroke) => stroke.key === key);
}

/** The notes of a stay, key by key. */
function keysFrom(line: Line, from: number, end: number): Stay["keys"] {
  const keys = new Map<number, NoteId[]>();
  for (let index = from; index < end; index++) {
    for (const { key, notes } of line.onsets[index]!.struck) {
      if (isTwiceRunning(line, from, index, key)) continue;
      const before = keys.get(key);
      if (before) before.push(notes[0]!);
      else keys.set(key, [notes[0]!]);
    }
  }
  return [...keys.values()];
}
