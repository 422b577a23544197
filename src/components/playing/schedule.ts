import type { Sound } from "@/core/fingering/study/sounding";
import type { Pitch } from "@/core/keyboard/pitch";
import type { Metre, PassageBar } from "@/core/passage/metre";
import { toNumber, ZERO } from "@/core/time/beats";

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

type Heard =
  | { readonly kind: "key"; readonly at: number; readonly key: Pitch; readonly length: number; readonly load: number }
  | {
      readonly kind: "click";
      readonly at: number;
      readonly strong: boolean;
    };

/** When everything sounds, in quarter notes from the start of playing. */
export interface Schedule {
  readonly events: readonly Heard[];
  /** Where the music begins, after the count-in. */
  readonly start: number;
  readonly end: number;
}

/**
 * The events of some playing. What begins before `from` is not heard; what goes on past `to` is cut there.
 * @param beats of the whole passage
 * @param metre of the bar that is counted in
 */
export function scheduleOf(
  sounds: readonly Sound[],
  beats: readonly Beat[],
  metre: Metre,
  { from, to, countIn, click }: PlayingAsked,
): Schedule {
  const counted = countIn ? metre.beats.map(toNumber) : [];
  const start = countIn ? toNumber(metre.length) : 0;
  const isIn = ({ at }: { readonly at: number }): boolean => at >= from - 1e-6 && at < to - 1e-6;
  const moved = (at: number): number => Math.max(start, at - from + start);
  const count = counted.map((at, i): Heard => ({ kind: "click", at, strong: i === 0 }));
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
 * The beats of a passage, each bar by its metre, a pick-up from where it begins in it.
 * @param start of the passage and its end, in quarter notes from the start of the piece; beats are counted from the start
 */
export function beatsOf(bars: readonly PassageBar[], start: number, end: number): readonly Beat[] {
  return bars.flatMap(({ start: begins, from, metre }, i) => {
    const first = toNumber(begins);
    const next = Math.min(end, i + 1 < bars.length ? toNumber(bars[i + 1]!.start) : end);
    const found: Beat[] = [];
    for (let whole = first - toNumber(from); whole < next - 1e-6; whole += toNumber(metre.length))
      for (const beat of metre.beats) {
        const at = whole + toNumber(beat);
        if (at > Math.max(first, start) - 1e-6 && at < next - 1e-6)
          found.push({ at: at - start, strong: beat === ZERO });
      }
    return found;
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
