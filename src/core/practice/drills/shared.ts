import { barBeats } from "../../entry/length";
import { add, beats, compare, divide, multiply, subtract, toNumber, ZERO, type Beats } from "../../time/beats";
import type { Drill } from "../drill";
import type { DrillEvent, DrillMusic } from "../music";
import type { Source, SourceOnset } from "../source";

/** Drills are written in four; what a drill needs less of is rest. */
export const TIME = [4, 4] as const;
const BAR = barBeats(TIME);

/** A drill of one hand at the passage's own tempo. @param words what stands over it, where anything does */
export function oneHand({ side, tempo }: Source, events: readonly DrillEvent[], words?: string): DrillMusic {
  return { time: TIME, tempo, ...(words ? { words } : {}), hands: [{ side, events }] };
}

/** All of a source's onsets. */
export function all({ onsets }: Source): Drill["about"] {
  return { from: 0, to: onsets.length - 1 };
}

/** The two onsets at least that a line has. */
export function isLine({ onsets }: Source): boolean {
  return onsets.length >= 2;
}

/** Onsets as they are played in the passage. */
export function asWritten(onsets: readonly SourceOnset[]): readonly DrillEvent[] {
  return onsets.map(({ keys, length }) => ({ keys, length }));
}

/** The same onsets, each so long. */
export function each(onsets: readonly SourceOnset[], lengths: (i: number) => Beats): readonly DrillEvent[] {
  return onsets.map(({ keys }, i) => ({ keys, length: lengths(i) }));
}

/** A silence of so many quarter notes. */
export function rest(length: Beats): DrillEvent {
  return { keys: [], length };
}

/** Events with a rest behind them that brings them to a full bar, so that what follows begins with one. */
export function toTheBar(events: readonly DrillEvent[]): readonly DrillEvent[] {
  const used = sumOf(events);
  const bars = Math.ceil(toNumber(divide(used, BAR)) - 1e-9);
  const left = subtract(multiply(BAR, beats(bars)), used);
  return compare(left, ZERO) > 0 ? [...events, rest(left)] : events;
}

/** Quarter notes that events last together. */
function sumOf(events: readonly DrillEvent[]): Beats {
  return events.reduce((sum, { length }) => add(sum, length), ZERO);
}

/** All keys of some onsets struck at once, each key once, by the finger that plays it first. */
export function together(onsets: readonly SourceOnset[]): DrillEvent["keys"] {
  const keys = new Map(
    onsets
      .flatMap((onset) => onset.keys)
      .toReversed()
      .map((one) => [one.key, one]),
  );
  return [...keys.values()].sort((a, b) => a.key - b.key);
}

/** "bar 2". */
export function placeOf(source: Source, index: number): string {
  return `bar ${source.onsets[index]!.bar}`;
}

/** Onsets of a source from one index to another, both included; fewer where it has fewer. */
export function part(source: Source, from: number, to: number): readonly SourceOnset[] {
  return source.onsets.slice(Math.max(0, from), to + 1);
}
