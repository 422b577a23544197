import { whiteWidth } from "../../keyboard/geometry";
import { KEYBOARD, PLAN } from "../../physics";
import { carryTime } from "../../fingering/cost/fitts";
import type { Frame, Press } from "../../fingering/frames/frame";
import { openingsAt } from "../../fingering/explain/openings";
import type { Task } from "../../fingering/study/task";
import type { NoteId } from "../../passage/note";
import { COMFORT, strainOfOpening } from "../../hand/limits";

/**
 * The time between two onsets of one hand, taken apart. Always window + travel - short = time, in ms: what is not
 * needed for the way is a window in which the hand can close, and what the way wants beyond the time is missing.
 */
export interface Release {
  /** Notes struck before it, and after it. */
  readonly from: readonly NoteId[];
  readonly to: readonly NoteId[];
  /** ms from when the last key that need not be held on may be left until the next are struck; 0 or more. */
  readonly time: number;
  /** ms that Fitts' law asks for carrying the middle of the hand there. */
  readonly travel: number;
  readonly window: number;
  readonly short: number;
  /** mm the middle of the hand is carried. */
  readonly mm: number;
  /** Whether a pair of fingers is open beyond comfort before it. */
  readonly isOpen: boolean;
}

/**
 * What there is between each onset of a hand and the next, in order; one fewer than there are onsets.
 *
 * A finger may leave its key when its note has sounded; one that goes on holding over the next onset does not count, for
 * the hand pivots around it. A note bound to the next one may be left as soon as it is struck: the hand goes while the
 * finger still holds, and only the finger waits.
 */
export function releasesOf(task: Task, frames: readonly Frame[]): readonly Release[] {
  return frames.slice(1).map((now, i) => releaseBefore(task, frames[i]!, frames[i - 1] ?? null, now));
}

function releaseBefore(task: Task, before: Frame, earlier: Frame | null, now: Frame): Release {
  const left = [...before.struck, ...before.held].filter((press) => !goesOn(press, now));
  const leaveAt = Math.max(before.onset.ms, ...left.map((press) => leaving(press, now)));
  const time = Math.max(0, now.onset.ms - leaveAt);
  const mm = now.struck.length === 0 || before.struck.length === 0 ? 0 : Math.abs(now.centre - before.centre);
  const isBlack = now.struck[0]?.black ?? false;
  const travel = carryTime(mm, isBlack ? KEYBOARD.blackTopWidth : whiteWidth(task.instrument));
  return {
    from: before.struck.flatMap((p) => p.stroke.notes),
    to: now.struck.flatMap((p) => p.stroke.notes),
    time,
    travel,
    window: Math.max(0, time - travel),
    short: Math.max(0, travel - time),
    mm,
    isOpen: openingsAt(task, earlier, before).some(({ mm: open, limits }) => strainOfOpening(open, limits) > COMFORT),
  };
}

/**
 * ms from the start of the piece at which a hand goes on from an onset: when its notes have sounded, or, where they are
 * bound to the next ones, as late as the way there allows. Never before the onset itself.
 * @param next null at the end, where it stays until its notes have sounded, for two seconds at most
 */
export function leavingMs(task: Task, frame: Frame, next: Frame | null): number {
  const down = [...frame.struck, ...frame.held];
  const sounded = Math.max(frame.onset.ms, ...down.map(({ stroke }) => stroke.ms + stroke.soundsMs));
  if (next === null) return Math.min(sounded, frame.onset.ms + PLAN.lastMs);
  const isBlack = next.struck[0]?.black ?? false;
  const mm = next.struck.length === 0 ? 0 : Math.abs(next.centre - frame.centre);
  const travel = carryTime(mm, isBlack ? KEYBOARD.blackTopWidth : whiteWidth(task.instrument));
  return Math.max(frame.onset.ms, Math.min(sounded, next.onset.ms - travel));
}

function goesOn({ stroke }: Press, now: Frame): boolean {
  return stroke.until > now.onset.index;
}

/** When a finger may leave: bound to the next onset, as soon as it has struck; else when its note has sounded. */
function leaving({ stroke }: Press, now: Frame): number {
  const end = stroke.ms + stroke.soundsMs;
  return end >= now.onset.ms - 1 ? stroke.ms : end;
}

/** How a hand comes to close over a passage. */
export interface Closing {
  /** Share of the time in which a pair is open beyond comfort, 0 to 1. */
  readonly openShare: number;
  /** The longest stretch of onsets without a window, in ms, and the note it begins on; null where each has one. */
  readonly longestWithout: { readonly ms: number; readonly from: NoteId } | null;
}

/** @param least ms below which a window is none: no hand closes and opens again in less */
export function closingOf(releases: readonly Release[], least: number): Closing {
  const all = releases.reduce((sum, r) => sum + r.time, 0);
  const open = releases.reduce((sum, r) => sum + (r.isOpen ? r.time : 0), 0);
  const runs: { ms: number; readonly from: NoteId }[] = [];
  let isRunning = false;
  for (const { window, time, from } of releases) {
    const hasWindow = window >= least || from.length === 0;
    if (!hasWindow && isRunning) runs.at(-1)!.ms += time;
    else if (!hasWindow) runs.push({ ms: time, from: from[0]! });
    isRunning = !hasWindow;
  }
  const longest = runs.reduce<Closing["longestWithout"]>((a, b) => (a === null || b.ms > a.ms ? b : a), null);
  return { openShare: all === 0 ? 0 : open / all, longestWithout: longest };
}

/**
 * The tempo above which a window is gone: the same way takes the same time, and the time for it shrinks as the tempo
 * grows. Infinity where nothing is carried and any window will do (`least` is 0); 0 where there is none at any tempo.
 * @param tempo quarter notes a minute at which the release was found
 * @param least ms below which a window is none
 */
export function tempoWithoutWindow({ time, travel }: Release, tempo: number, least: number): number {
  if (travel + least === 0) return Infinity;
  return (time * tempo) / (travel + least);
}
