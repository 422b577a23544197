import { soundsOf, startOf, stepTimes, type Sound } from "@/core/fingering/study/sounding";
import type { Step } from "@/core/fingering/study/steps";
import type { Study } from "@/core/fingering/study/study";
import { COMMON_METRE, type Metre } from "@/core/passage/metre";
import { toNumber } from "@/core/time/beats";
import { beatsOf, type Beat } from "./schedule";

/** A passage to be heard, its places in quarter notes from its start. */
export interface Music {
  readonly sounds: readonly Sound[];
  /** When each step is struck. */
  readonly times: readonly number[];
  readonly beats: readonly Beat[];
  readonly end: number;
  /** How the bar is counted that a place lies in. */
  metreAt(at: number): Metre;
}

export function musicOf(study: Study, steps: readonly Step[]): Music {
  const sounds = soundsOf(study);
  const start = startOf(study);
  const end = Math.max(0, ...sounds.map((s) => s.at + s.length));
  const bars = study.passage.bars ?? [];
  return {
    sounds,
    times: stepTimes(sounds, steps),
    beats: beatsOf(bars, start, start + end),
    end,
    metreAt: (at) =>
      (bars.findLast((bar) => toNumber(bar.start) <= start + at + 1e-6) ?? bars[0])?.metre ?? COMMON_METRE,
  };
}
