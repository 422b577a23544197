import { beyondRest } from "../fingering/cost/at-rest";
import type { Memory } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import { contactOn } from "../keyboard/contact";
import { isBlack, type Pitch } from "../keyboard/pitch";
import type { NoteId } from "../passage/note";
import { FIGURE } from "../physics";
import { worthOfKeeping, type Tying } from "./tying";

/** Two notes that follow one another, wider apart than the hand lies at rest. */
interface WidePair {
  readonly notes: readonly [NoteId, NoteId];
  readonly keys: readonly [Pitch, Pitch];
}

/**
 * Where wide intervals are broken one after another and both their ends go on one way, FIGURE.leastWidePairs pairs or more, as in
 * broken sixths along a scale: the hand is moved along in one shape.
 */
export function widePairsIn(study: Study): readonly (readonly WidePair[])[] {
  return tasksOf(study).flatMap((task) => {
    const runs: WidePair[][] = [];
    for (let first = 0; first < task.line.onsets.length; first++) {
      const run = runFrom(task, first);
      if (run.length < FIGURE.leastWidePairs) continue;
      runs.push(run);
      first += 2 * run.length - 1;
    }
    return runs;
  });
}

/** What it is worth, note by note, that each pair is fingered as the last before it on keys of the same colours. */
export function widePairsRemembered(study: Study, tying: Tying): readonly Memory[] {
  if (tying === "none") return [];
  const worth = worthOfKeeping(study, tying);
  return widePairsIn(study).flatMap((run) =>
    run.flatMap(({ notes, keys }, i): readonly Memory[] => {
      const last = run.slice(0, i).findLastIndex((pair) => coloursOf(pair.keys) === coloursOf(keys));
      if (last < 0) return [];
      return notes.map((note, end) => ({ note: run[last]!.notes[end]!, returns: [{ note, worth }] }));
    }),
  );
}

/** The pairs that follow one another from an onset on. */
function runFrom(task: Task, first: number): WidePair[] {
  const run: WidePair[] = [];
  for (let index = first; ; index += 2) {
    const pair = pairAt(task, index);
    if (pair === null || !goesOn(run, pair)) return run;
    run.push(pair);
  }
}

/** The pair of an onset and the next, if it is one. */
function pairAt({ line, hand, instrument }: Task, index: number): WidePair | null {
  const [one, other] = [line.onsets[index]?.struck, line.onsets[index + 1]?.struck];
  if (one?.length !== 1 || other?.length !== 1) return null;
  const keys = [one[0]!.key, other[0]!.key] as const;
  const mm = Math.abs(contactOn(keys[1], instrument).x - contactOn(keys[0], instrument).x);
  if (beyondRest(hand, mm) === 0 || mm > hand.keySpan) return null;
  return { notes: [one[0]!.notes[0]!, other[0]!.notes[0]!], keys };
}

/** Whether a pair moves both ends the way in which those before it go, and lies as they do. */
function goesOn(run: readonly WidePair[], pair: WidePair): boolean {
  const [earlier, before] = run.slice(-2);
  if (earlier === undefined) return true;
  const ways = [...waysBetween(before ?? earlier, pair), ...(before ? waysBetween(earlier, before) : [])];
  return ways[0] !== 0 && ways.every((way) => way === ways[0]) && liesAs(earlier, pair);
}

function waysBetween({ keys: from }: WidePair, { keys: to }: WidePair): readonly number[] {
  return from.map((key, end) => Math.sign(to[end]! - key));
}

function liesAs({ keys: [a, b] }: WidePair, { keys: [c, d] }: WidePair): boolean {
  return Math.sign(b - a) === Math.sign(d - c);
}

function coloursOf(keys: WidePair["keys"]): string {
  return keys.map(isBlack).join();
}
