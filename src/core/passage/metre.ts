import { add, beats, compare, multiply, subtract, SURELY_APART, toNumber, ZERO, type Beats } from "../time/beats";
import { PLAYING } from "../physics";

/** How bars are counted. All places in quarter notes. */
export interface Metre {
  /** Length of a full bar. */
  readonly length: Beats;
  /** Where the beats of a full bar begin, the first at 0: for 6/8 at 0 and 3/2. */
  readonly beats: readonly Beats[];
}

/** A bar of a passage. */
export interface PassageBar {
  /** As numbered on paper. */
  readonly number: string;
  /** Quarter notes from the start of the piece. */
  readonly start: Beats;
  /** Place in a full bar of its metre at which it begins: more than 0 for a pick-up. */
  readonly from: Beats;
  readonly metre: Metre;
}

/** What a place in a bar is to somebody who counts: its first beat, another beat, or between beats. */
export type Pulse = "bar" | "beat" | "between";

/**
 * The metre of a time signature: beats of the lower figure, in threes where eighths or shorter go in threes, and where
 * they go in neither threes nor twos (5/8, 7/8) in twos with a three at the end, or for five at the start. A choice where
 * the signature does not say; one written as a sum, 2+3, says it.
 * @param groups counts of the lower figure, [6] for 6/8, [2, 3] for 2+3/8; each whole and at least 1
 * @param unit the lower figure, at least 1
 */
export function metreFrom(groups: readonly number[], unit: number): Metre {
  const parts = groups.length > 1 ? groups : countsOf(groups[0] ?? 4, unit);
  let at: Beats = ZERO;
  const starts: Beats[] = [];
  for (const count of parts) {
    starts.push(at);
    at = add(at, beats(4 * count, unit));
  }
  return { length: at, beats: starts };
}

/** Four quarters, where nothing is said. */
export const COMMON_METRE: Metre = metreFrom([4], 4);

function countsOf(count: number, unit: number): readonly number[] {
  if (unit < PLAYING.quickUnit) return Array.from({ length: count }, () => 1);
  if (count % 3 === 0) return Array.from({ length: count / 3 }, () => 3);
  if (count === 5) return [3, 2];
  const twos = Array.from({ length: Math.floor(count / 2) }, () => 2);
  if (count % 2 === 0 || twos.length === 0) return count === 1 ? [1] : twos;
  return [...twos.slice(0, -1), 3];
}

/** What a place is. @param place quarter notes from the start of a full bar, 0 or more; past its end it goes on as in the next */
export function pulseAt({ length, beats: starts }: Metre, place: Beats): Pulse {
  const [quarters, ofBar] = [toNumber(place), toNumber(length)];
  const bars = Math.floor(quarters / ofBar + NEARLY);
  const within = quarters - bars * ofBar;
  const near = starts.find((start) => Math.abs(toNumber(start) - within) < SURELY_APART);
  if (near === undefined || add(multiply(length, beats(bars)), near) !== place) return "between";
  return near === ZERO ? "bar" : "beat";
}

/** So much of a bar is missing at most to a whole one where only floating point is inexact. */
const NEARLY = 1e-9;

/** A bar of a passage without any: counted in four from the start of the piece. */
const UNCOUNTED: PassageBar = { number: "1", start: ZERO, from: ZERO, metre: COMMON_METRE };

/** The bar that a moment lies in: the last that has begun; before the first, that one. @param bars in order */
export function barAt(bars: readonly PassageBar[], at: Beats): PassageBar {
  let [low, high] = [0, bars.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (compare(bars[middle]!.start, at) <= 0) low = middle;
    else high = middle - 1;
  }
  return bars[low] ?? UNCOUNTED;
}

/** What a moment is in its bar. */
export function pulseIn({ start, from, metre }: PassageBar, at: Beats): Pulse {
  const place = add(subtract(at, start), from);
  return compare(place, ZERO) < 0 ? "between" : pulseAt(metre, place);
}
