import type { Sound } from "@/core/fingering/sounding";
import type { Pitch } from "@/core/keyboard/pitch";

/** What is played of a passage, and how. Places in quarter notes from the start of the passage. */
export interface PlayingAsked {
  readonly from: number;
  /** Where it ends, or begins again. */
  readonly to: number;
  readonly loop: boolean;
  /** Whether a bar of clicks comes first. */
  readonly countIn: boolean;
  readonly click: boolean;
}

/** The beats to count by. */
export interface Beat {
  readonly at: number;
  /** Whether a bar begins with it. */
  readonly strong: boolean;
}

export type Heard =
  | { readonly kind: "key"; readonly at: number; readonly key: Pitch; readonly length: number; readonly load: number }
  | { readonly kind: "click"; readonly at: number; readonly strong: boolean };

/** When everything sounds, in quarter notes from the start of playing. */
export interface Schedule {
  readonly events: readonly Heard[];
  /** Where the music begins, after the count-in. */
  readonly start: number;
  readonly end: number;
}

/**
 * The events of some playing. What begins before `from` is not heard; what goes on past `to` is cut there.
 * @param beats of the whole passage; the count-in takes the step of the first two
 * @param barLength quarter notes
 */
export function scheduleOf(
  sounds: readonly Sound[],
  beats: readonly Beat[],
  barLength: number,
  { from, to, countIn, click }: PlayingAsked,
): Schedule {
  const step = beats.length > 1 ? beats[1]!.at - beats[0]!.at : 1;
  const counted = countIn ? Math.max(1, Math.round(barLength / step)) : 0;
  const start = counted * step;
  const isIn = ({ at }: { readonly at: number }): boolean => at >= from - 1e-6 && at < to - 1e-6;
  const moved = (at: number): number => Math.max(start, at - from + start);
  const count = Array.from({ length: counted }, (_, i): Heard => ({ kind: "click", at: i * step, strong: i === 0 }));
  const clicks = click
    ? beats.filter(isIn).map(({ at, strong }): Heard => ({ kind: "click", at: moved(at), strong }))
    : [];
  const keys = sounds.filter(isIn).map(({ at, key, length, load }): Heard => {
    return { kind: "key", at: moved(at), key, length: Math.min(length, to - at), load };
  });
  const events = [...count, ...clicks, ...keys].sort((a, b) => a.at - b.at);
  return { events, start, end: start + to - from };
}

/**
 * The beats of a passage: from each bar line on, until the next.
 * @param bars where bars begin, in quarter notes from the start of the passage; the first may lie before it
 * @param step quarter notes from beat to beat
 * @param end of the passage
 */
export function beatsOf(bars: readonly number[], step: number, end: number): readonly Beat[] {
  return bars.flatMap((bar, i) => {
    const next = bars[i + 1] ?? end;
    const count = Math.max(1, Math.round((next - bar) / step));
    return Array.from({ length: count }, (_, b): Beat => ({ at: bar + b * step, strong: b === 0 })).filter(
      ({ at }) => at > -1e-6,
    );
  });
}

/** So near the end of what is played, in quarter notes, that it counts as the end. */
const AT_END = 1e-4;

/**
 * Where playing stands within what is played: a loudspeaker's clock may run a little past the end before it stops or
 * begins again, and what lies there is not played.
 * @param position quarter notes since playing began, 0 or more
 */
export function placeWithin({ start, end }: Pick<Schedule, "start" | "end">, position: number, loop: boolean): number {
  if (position < end - AT_END) return position;
  return loop && end > start ? start + ((position - start) % (end - start)) : end - AT_END;
}

/** Place of the last step that has begun by a moment; 0 before the first. */
export function stepAt(times: readonly number[], moment: number): number {
  let at = 0;
  while (at + 1 < times.length && times[at + 1]! <= moment + 1e-6) at++;
  return at;
}
