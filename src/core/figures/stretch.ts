import type { Stay } from "../fingering/search/conditions";
import type { Task } from "../fingering/study/task";
import { FINGERS } from "../hand/finger";
import { contactOn } from "../keyboard/contact";
import { whiteWidth } from "../keyboard/geometry";
import type { Line } from "../passage/line";
import type { NoteId } from "../passage/note";
import { MOTION, STAY } from "../physics";

/** Some onsets running, with what is struck in them. */
export class Stretch {
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
   * beyond its span they do, for it need not hold them all at once. False for a whole chord too: it is a shape of its own, and what
   * one chord has in common with the next may lie under other fingers.
   */
  takes(index: number): boolean {
    const { line, hand, instrument } = this.task;
    const { struck } = line.onsets[index]!;
    if (struck.length >= MOTION.wholeFrom) return false;
    for (const { key } of struck) {
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
    const asked = this.isFiveFingers(index) ? STAY.strokesAKeyOfFive : STAY.strokesAKey;
    if (times.size < STAY.leastKeys || strokes < asked * times.size) return false;
    return this.isAgain(this.from) && this.isAgain(index);
  }

  /**
   * Whether the hand is set down on five neighbouring keys, one for each finger: not where what was struck before, or is struck
   * after, lies under one hand with them, as in a run that comes in or goes on by step, or in the midst of an accompaniment.
   */
  isFiveFingers(last: number): boolean {
    const { line, hand, instrument } = this.task;
    if (this.times.size !== FINGERS.length || !this.isWithin(STAY.fiveKeysWithin)) return false;
    return [this.from - 1, last + 1].every(
      (beside) =>
        !line.onsets[beside]?.struck.some(({ key }) => {
          const { x } = contactOn(key, instrument);
          return Math.max(this.right, x) - Math.min(this.left, x) <= hand.keySpan;
        }),
    );
  }

  /**
   * Whether one hand lies over it as over a chord: over three keys or more, of which one is struck again or which lie close
   * together.
   */
  isChord(): boolean {
    const { times, strokes } = this;
    if (times.size < STAY.leastKeysOfChord) return false;
    return strokes > times.size || this.isWithin(STAY.chordWithin);
  }

  /** Whether what is struck at an onset is struck at another too: a stay begins and ends so, all else leads to it or on. */
  private isAgain(index: number): boolean {
    return this.task.line.onsets[index]!.struck.every(({ key }) => this.times.get(key)! > 1);
  }

  private isWithin(whiteKeys: number): boolean {
    return this.right - this.left <= whiteKeys * whiteWidth(this.task.instrument);
  }
}

/** The notes from one onset to before another, key by key; a key struck twice running counts once. */
export function keysFrom(line: Line, from: number, end: number): Stay["keys"] {
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

/** Whether a key was struck by the onset before as well: it may want another finger then, and is no sign that the hand stays. */
function isTwiceRunning({ onsets }: Line, from: number, index: number, key: number): boolean {
  return index > from && onsets[index - 1]!.struck.some((stroke) => stroke.key === key);
}
