import type { Frame } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import type { NoteId } from "../../passage/note";
import { PLAN, PLAYING } from "../../physics";
import { openBeyond, type OpenPair } from "./open-pairs";
import type { Release } from "./release";

/** A stretch of time in which a hand is open beyond comfort and finds no time to close. */
interface KeptOpen {
  readonly from: NoteId;
  readonly ms: number;
  /** mm beyond comfort, the mean over the time. */
  readonly mm: number;
  /** s, weighed by mm and loudness. */
  readonly weighed: number;
}

/** How a hand comes to close over a passage. */
export interface Closing {
  /** Share of the time in which a pair is open beyond comfort, 0 to 1. */
  readonly openShare: number;
  /** Every stretch without a window, the last chord included, in order. */
  readonly kept: readonly KeptOpen[];
}

/**
 * @param releases of the same frames, see releasesOf
 * @param least ms below which a window is none: no hand closes and opens again in less
 */
export function closingOf(task: Task, frames: readonly Frame[], releases: readonly Release[], least: number): Closing {
  const kept: { from: NoteId; ms: number; mmMs: number; weighed: number }[] = [];
  let [all, open] = [0, 0];
  let isRunning = false;
  frames.forEach((frame, i) => {
    const pairs = openBeyond(task, frame);
    const window = releases[i]?.window ?? Infinity;
    const ms = downFor(frame, frames[i + 1] ?? null, pairs, window >= least ? window : 0);
    all += frames[i + 1] ? frames[i + 1]!.onset.ms - frame.onset.ms : ms;
    if (pairs.length === 0) {
      isRunning = false;
      return;
    }
    open += ms;
    const mm = Math.max(...pairs.map((pair) => pair.mm));
    if (!isRunning) kept.push({ from: pairs[0]!.presses[1].stroke.notes[0]!, ms: 0, mmMs: 0, weighed: 0 });
    const run = kept.at(-1)!;
    run.ms += ms;
    run.mmMs += mm * ms;
    run.weighed += (ms / 1000) * weightOf(frame, mm);
    isRunning = window < least;
  });
  return {
    openShare: all === 0 ? 0 : Math.min(1, open / all),
    kept: kept.map(({ from, ms, mmMs, weighed }) => ({ from, ms, mm: ms === 0 ? 0 : mmMs / ms, weighed })),
  };
}

/** ms for which an open pair is really down at a frame; none is where no pair is open. */
function downFor({ onset }: Frame, next: Frame | null, pairs: readonly OpenPair[], window: number): number {
  const ends = pairs.map(({ presses }) => Math.min(...presses.map(({ stroke }) => stroke.ms + stroke.soundsMs)));
  const sounds = Math.max(0, ...ends.map((end) => end - onset.ms));
  if (next === null) return Number.isFinite(sounds) ? sounds : 0;
  return Math.max(0, Math.min(sounds, next.onset.ms - onset.ms - window));
}

/** How much a second open by so many mm, and so loud, counts for. */
function weightOf({ struck, held }: Frame, mm: number): number {
  const load = Math.max(...[...struck, ...held].map(({ stroke }) => stroke.load));
  return Math.min(PLAN.openMost, (0.5 + mm / (2 * PLAN.openAs)) * (1 + load - PLAYING.middling));
}
