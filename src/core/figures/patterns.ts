import { isCut } from "../passage/groups";
import type { Line } from "../passage/line";
import { STAY } from "../physics";
import type { Range } from "./range";

/** Some onsets with their keys, lowest first, and how many of them make one turn. */
export interface Pattern extends Range {
  readonly turn: number;
  readonly keys: readonly number[];
}

/**
 * Where a line strikes the same keys in the same order again at once, and goes back to one of them within that order, as an
 * accompaniment does: the whole of it, in whole turns. From left to right, by the shortest order that fits.
 */
export function patternsOf({ onsets }: Line): readonly Pattern[] {
  const keys = onsets.map(({ struck }) => struck.map(({ key }) => key));
  const words = keys.map((struck) => struck.join());
  const patterns: Pattern[] = [];
  for (let first = 0; first < keys.length;) {
    const pattern = patternFrom(onsets, keys, words, first);
    if (pattern !== null) patterns.push(pattern);
    first = (pattern?.last ?? first) + 1;
  }
  return patterns;
}

/** The pattern that begins at an onset; null where none does. */
function patternFrom(
  onsets: Line["onsets"],
  keys: readonly (readonly number[])[],
  words: readonly string[],
  first: number,
): Pattern | null {
  for (let turn = 2; turn <= STAY.longestTurn; turn++) {
    let end = first + turn;
    while (end < keys.length && words[end] === words[end - turn]) end++;
    const turns = Math.floor((end - first) / turn);
    if (turns < 2 || isCut(onsets, first, turn)) continue;
    const strokes = keys.slice(first, first + turn).flat();
    const own = [...new Set(strokes)].sort((a, b) => a - b);
    if (own.length >= STAY.leastKeysOfChord && own.length < strokes.length)
      return { first, last: first + turns * turn - 1, turn, keys: own };
  }
  return null;
}
