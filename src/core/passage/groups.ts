import { goOneWayBySteps, isSecond } from "../keyboard/interval";
import { STAY } from "../physics";
import type { Pulse } from "./metre";

/** What an onset of a line must tell. */
interface Struck {
  readonly struck: readonly { readonly key: number }[];
  readonly pulse: Pulse;
  readonly afterRest: boolean;
}

/** Onsets from the first to the last, by their place in the line. */
export interface Group {
  readonly first: number;
  readonly last: number;
}

/**
 * Groups of onsets that follow one another and strike each its own keys in one order, and turn or go back to one of them within it, as
 * an accompaniment does from chord to chord: all groups of the line, from left to right, each run of them by the shortest order
 * that fits. A run begins on a beat. What is parted by a rest belongs together only where the groups themselves are.
 */
export function groupsInOrder(onsets: readonly Struck[]): readonly Group[] {
  const keys = onsets.map(({ struck }) => struck.map(({ key }) => key));
  const ways = keys.map(([lowest], i) => Math.sign((keys[i + 1]?.[0] ?? NaN) - lowest!));
  const groups: Group[] = [];
  for (let first = 0; first < keys.length;) {
    const run = onsets[first]!.pulse === "between" ? [] : runFrom(onsets, keys, ways, first);
    groups.push(...run);
    first = (run.at(-1)?.last ?? first) + 1;
  }
  return groups;
}

/** @param ways up or down from each onset to the next, 1 or -1; what goes another way is in another order, and need not be looked at */
function runFrom(
  onsets: readonly Struck[],
  keys: readonly (readonly number[])[],
  ways: readonly number[],
  first: number,
): readonly Group[] {
  for (let turn = STAY.leastOnOthers; turn <= STAY.longestTurn; turn++) {
    if (!goesAlike(ways, first, turn) || isCut(onsets, first, turn)) continue;
    const order = orderOf(keys, first, turn);
    if (order === null) continue;
    let end = first + turn;
    while (orderOf(keys, end, turn) === order) end += turn;
    if (end === first + turn) continue;
    return Array.from({ length: (end - first) / turn }, (_, i) => {
      const from = first + i * turn;
      return { first: from, last: from + turn - 1 };
    });
  }
  return [];
}

/** Whether some onsets, and as many after them, go up and down alike. */
function goesAlike(ways: readonly number[], first: number, turn: number): boolean {
  for (let i = first; i < first + turn - 1; i++) if (ways[i] !== ways[i + turn]) return false;
  return true;
}

/** Whether a rest parts some onsets, but not these from what follows. */
export function isCut(onsets: readonly { readonly afterRest: boolean }[], first: number, turn: number): boolean {
  return !onsets[first + turn]?.afterRest && onsets.slice(first + 1, first + turn).some(({ afterRest }) => afterRest);
}

/**
 * The places of some onsets' keys among all of theirs, as a word; null where there are too few, of keys or onsets. Those of a scale
 * only where it goes back into itself; others where they turn within an octave, or where one comes again, among them or, as most do
 * from one inversion of a chord to the next, among as many onsets before or after.
 */
function orderOf(keys: readonly (readonly number[])[], first: number, turn: number): string | null {
  if (first + turn > keys.length) return null;
  const group = keys.slice(first, first + turn);
  const own = [...new Set(group.flat())].sort((a, b) => a - b);
  if (own.length < STAY.leastKeysOfChord) return null;
  const places = group.map((struck) => struck.map((key) => own.indexOf(key)).join("+"));
  const way = scaleWay(group);
  if (way !== null) return goesBack(keys, first, turn, way) ? places.join() : null;
  const comesAgain =
    new Set(places).size < turn || [first - turn, first + turn].some((from) => sharesMost(own, keys, from, turn));
  return comesAgain || turns(group) ? places.join() : null;
}

/** Up or down, 1 or -1, where single keys go on by seconds, one way; null where they do not: by thirds they might be a chord. */
function scaleWay(onsets: readonly (readonly number[])[]): number | null {
  const steps = onsets.slice(1).map(([key], i) => key! - onsets[i]![0]!);
  const isScale = steps.length > 0 && steps.every(isSecond) && goOneWayBySteps(steps);
  return isScale && onsets.every(({ length }) => length === 1) ? Math.sign(steps[0]!) : null;
}

/** Whether the scale after a scale begins in the midst of it, or it has begun so in one before that goes the same way. */
function goesBack(keys: readonly (readonly number[])[], first: number, turn: number, way: number): boolean {
  const beginsWithin = (at: number, from: number): boolean => {
    const key = keys[at]?.[0];
    return key !== undefined && (key - keys[from]![0]!) * way > 0 && (keys[from + turn - 1]![0]! - key) * way > 0;
  };
  const before = first - turn;
  const isAfterScale = before >= 0 && scaleWay(keys.slice(before, first)) === way;
  return beginsWithin(first + turn, first) || (isAfterScale && beginsWithin(first, before));
}

/** Whether onsets turn, by their lowest keys, and lie within an octave. */
function turns(onsets: readonly (readonly number[])[]): boolean {
  const all = onsets.flat();
  if (Math.max(...all) - Math.min(...all) > STAY.turnWithin) return false;
  const ways = onsets.slice(1).map(([lowest], i) => Math.sign(lowest! - onsets[i]![0]!));
  return ways.some((way, i) => i > 0 && way !== ways[i - 1]);
}

function sharesMost(own: readonly number[], keys: readonly (readonly number[])[], from: number, turn: number): boolean {
  if (from < 0 || from + turn > keys.length) return false;
  const others = new Set(keys.slice(from, from + turn).flat());
  return own.filter((key) => others.has(key)).length * 2 > own.length;
}
