import { add, beats, compare, subtract, toNumber, ZERO, type Beats } from "../time/beats";
import type { Heard, Time } from "./heard";

/** A bar of what was heard. */
export interface BarHeard {
  /** As it is numbered: 0 for an upbeat. */
  readonly number: number;
  readonly start: Beats;
  readonly length: Beats;
  readonly time: Time;
  readonly fifths: number;
}

interface Asked {
  readonly times: Heard["times"];
  readonly signatures: Heard["signatures"];
  /** Quarter notes before the first bar line. */
  readonly upbeat: Beats;
  /** Quarter note by which everything has ended. */
  readonly until: Beats;
}

/**
 * The bars of a piece: full ones of the time signature in force, the first shorter where there is an upbeat; one that a new
 * time signature begins within ends there. A first bar that is shorter than the one after it and counts in the same unit is an
 * upbeat too, and has the time signature of the next.
 */
export function barsOf({ times, signatures, upbeat, until }: Asked): readonly BarHeard[] {
  const bars: BarHeard[] = [];
  for (let start: Beats = ZERO; compare(start, until) < 0 || bars.length === 0;) {
    const from = toNumber(start) + NEAR;
    const time = inForce(times, from)?.time ?? [4, 4];
    const length = lengthOf(start, time, bars.length === 0 ? upbeat : ZERO, times);
    bars.push({ number: bars.length + 1, start, length, time, fifths: inForce(signatures, from)?.fifths ?? 0 });
    start = add(start, length);
  }
  const [first, second] = bars;
  const isShort = first && second && compare(first.length, second.length) < 0 && first.time[1] === second.time[1];
  if (!isShort) return bars;
  return bars.map((bar, i) => ({ ...bar, number: i, ...(i === 0 ? { time: second.time } : {}) }));
}

/** What was stated last at a place, or first of all before it. */
function inForce<T extends { readonly at: number }>(stated: readonly T[], from: number): T | undefined {
  return stated.findLast(({ at }) => at <= from) ?? stated[0];
}

/** Length of a bar: a full one, an upbeat, or up to the place within it where another time signature begins. */
function lengthOf(start: Beats, time: Time, upbeat: Beats, times: Heard["times"]): Beats {
  const full = beats(4 * time[0], time[1]);
  const length = compare(upbeat, ZERO) > 0 && compare(upbeat, full) < 0 ? upbeat : full;
  const next = times.find(({ at }) => at > toNumber(start) + NEAR);
  if (!next || next.at >= toNumber(add(start, length)) - NEAR) return length;
  return subtract(beats(Math.round(next.at * FINEST), FINEST), start);
}

/** Signatures stand on places of at most so many parts of a quarter note. */
const FINEST = 16;
const NEAR = 1 / 64;
