import { TRANSCRIPTION } from "../physics";
import type { Time } from "./heard";

/** A moment as it bears on where bars begin. */
export interface Accented {
  /** Quarter notes. */
  readonly at: number;
  /** How much it stands out: more keys, louder, longer, lower. */
  readonly weight: number;
}

export interface MetreFound {
  readonly time: Time;
  /** Quarter notes before the first bar line. */
  readonly upbeat: number;
}

const CANDIDATES: readonly (readonly [time: Time, prior: number])[] = [
  [[4, 4], 1],
  [[3, 4], 1],
  [[2, 4], 0.86],
  [[6, 8], 0.94],
];

/**
 * The metre in which what stands out falls on first beats most: for every metre and every beat that a bar may begin on, the
 * mean weight of its first beats and of its beats against the mean of every eighth, an empty one counting nothing. 4/4 from the start for
 * fewer moments than two bars have.
 */
export function metreByEar(moments: readonly Accented[]): MetreFound {
  let best: MetreFound & { readonly worth: number } = { time: [4, 4], upbeat: 0, worth: -Infinity };
  const last = moments.at(-1)?.at ?? 0;
  if (last < TRANSCRIPTION.leastForMetre) return { time: [4, 4], upbeat: 0 };
  const every = meanAt(moments, 0, 0.5, last);
  for (const [time, prior] of CANDIDATES) {
    const length = (4 * time[0]) / time[1];
    const beat = time[1] === 8 ? 1.5 : 1;
    for (let upbeat = 0; upbeat < length - 1e-9; upbeat += time[1] === 8 ? 0.5 : 1) {
      const first = meanAt(moments, upbeat, length, last);
      const beats = meanAt(moments, upbeat % beat, beat, last);
      // An upbeat has to be earned: most music begins with a bar.
      const worth =
        (prior * (first + TRANSCRIPTION.beatsHeard * beats)) / Math.max(1e-9, every) -
        (upbeat > 0 ? TRANSCRIPTION.upbeatEarned : 0);
      if (worth > best.worth + 1e-9) best = { time, upbeat, worth };
    }
  }
  return { time: best.time, upbeat: best.upbeat };
}

function meanAt(moments: readonly Accented[], from: number, step: number, last: number): number {
  const count = Math.floor((last - from) / step + 1e-9) + 1;
  let sum = 0;
  for (const { at, weight } of moments) {
    const turns = (at - from) / step;
    if (turns > -1e-6 && Math.abs(turns - Math.round(turns)) * step < 1e-3) sum += weight;
  }
  return sum / Math.max(1, count);
}
