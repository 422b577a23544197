import { WEIGHTS } from "../fingering/cost/weights";
import type { Stay } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import { FINGERS } from "../hand/finger";
import { contactOn } from "../keyboard/contact";
import { whiteWidth } from "../keyboard/geometry";
import type { Line, Stroke } from "../passage/line";
import type { NoteId } from "../passage/note";
import { FIGURE, MOTION, STAY } from "../physics";
import { feelsTheSame, type Figure } from "./figure";
import type { Tying } from "./tying";

/**
 * Where the hand stays: stretches in which a few keys that lie under one hand are struck again and again, so that a pianist puts
 * the hand on them as on a chord, and each key keeps its finger; or where it is set down on five neighbouring keys. From left to right, each as long as it may be. Where a figure is
 * moved along the hand moves with it: a stay lies within it, or holds it with all that it is moved to.
 * What that is worth is weights.memory, and memoryAsked times that where the player wants every figure kept.
 * @param figures those of the study
 */
export function staysOf(study: Study, figures: readonly Figure[], tying: Tying = "alike"): readonly Stay[] {
  if (tying === "none") return [];
  const { memory, memoryAsked } = study.weights ?? WEIGHTS;
  const worth = memory * (tying === "all" ? memoryAsked : 1);
  return tasksOf(study).flatMap((task) => {
    const stays: Stay[] = [];
    const moved = movedIn(task.line, figures);
    for (let from = 0; from < task.line.onsets.length;) {
      const end = endOfStay(task, from, moved);
      if (end !== null) stays.push({ keys: keysFrom(task.line, from, end), worth });
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

/** A figure that is moved along, or a return of it, and the onsets of it all. */
interface Moved extends Range {
  readonly all: Range;
}

/** By onset, the figures and returns that are moved along and that it is in. */
function movedIn({ strokes }: Line, figures: readonly Figure[]): ReadonlyMap<number, readonly Moved[]> {
  const onsetOf = new Map<NoteId, number>();
  for (const { notes, onset } of strokes) for (const note of notes) onsetOf.set(note, onset);
  const rangeOf = (notes: readonly NoteId[]): Range => {
    const onsets = notes.flatMap((note) => onsetOf.get(note) ?? []);
    return { first: Math.min(...onsets), last: Math.max(...onsets) };
  };
  const moved = new Map<number, Moved[]>();
  for (const { notes, returns } of figures) {
    const elsewhere = returns.filter((given) => given.by !== 0 && feelsTheSame(given));
    const parts = elsewhere.length > 0 ? [notes, ...elsewhere.map((given) => given.notes)] : [];
    const all = rangeOf(parts.flat());
    for (const part of parts) {
      const range = { ...rangeOf(part), all };
      for (let onset = range.first; onset <= range.last; onset++) {
        const known = moved.get(onset);
        if (known) known.push(range);
        else moved.set(onset, [range]);
      }
    }
  }
  return moved;
}

function isWithin(inner: Range, outer: Range): boolean {
  return inner.first >= outer.first && inner.last <= outer.last;
}

/** The onset after the longest stay that begins at one; null where none does. */
function endOfStay(task: Task, from: number, moved: ReadonlyMap<number, readonly Moved[]>): number | null {
  const { onsets } = task.line;
  const stretch = new Stretch(task, from);
  const touched = new Set<Moved>();
  let end: number | null = null;
  for (let index = from; index < onsets.length && (end !== null || index < from + STAY.shownWithin); index++) {
    if (!stretch.takes(index)) return end;
    for (const part of moved.get(index) ?? []) touched.add(part);
    if (!stretch.isStay(index)) continue;
    const stay = { first: from, last: index };
    if ([...touched].every((part) => isWithin(stay, part) || isWithin(part.all, stay))) end = index + 1;
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

  /**
   * Takes one onset more; false where its keys and those before are more than the hand has fingers, or do not lie under it: a little
   * beyond its span they do, for it need not hold them all at once.
   */
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
    return this.times.size <= STAY.mostKeys && this.right - this.left <= hand.keySpan + MOTION.rampMm;
  }

  /** Whether the hand stays up to an onset, the last that was taken. */
  isStay(index: number): boolean {
    const { times, strokes } = this;
    const asked = this.isFiveFingers() ? STAY.strokesAKeyOfFive : STAY.strokesAKey;
    if (times.size < STAY.leastKeys || strokes < asked * times.size) return false;
    return this.isAgain(this.from) && this.isAgain(index);
  }

  /** Whether the hand is set down on five neighbouring keys, one for each finger. In a run that comes in by step it is not. */
  private isFiveFingers(): boolean {
    const { line, instrument } = this.task;
    const within = STAY.fiveKeysWithin * whiteWidth(instrument);
    if (this.times.size !== FINGERS.length || this.right - this.left > within) return false;
    const [first, before] = [line.onsets[this.from]!, line.onsets[this.from - 1]];
    const isAStep = (from: Stroke, to: Stroke): boolean => Math.abs(to.key - from.key) <= FIGURE.widestStep;
    return !before?.struck.some((from) => first.struck.some((to) => isAStep(from, to)));
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
