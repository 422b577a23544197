import { whiteWidth } from "../../keyboard/geometry";
import { KEYBOARD, PLAN } from "../../physics";
import { carryTime } from "../../fingering/cost/fitts";
import { travelBetween } from "../../fingering/cost/travel";
import type { Frame, Press } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { openBeyond } from "./open-pairs";
import type { NoteId } from "../../passage/note";

/**
 * The time between two onsets of one hand, taken apart, in ms. What the way wants beyond the time is short; what it leaves is
 * a window in which the hand can close, but for as long as two fingers are down: holding is holding.
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
  /** mm the hand must move at the least: 0 where all lies under it. */
  readonly mm: number;
  /** Whether a pair of fingers that are down together is open beyond comfort before it. */
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
  return frames.slice(1).map((now, i) => releaseBefore(task, frames[i]!, now));
}

function releaseBefore(task: Task, before: Frame, now: Frame): Release {
  const left = [...before.struck, ...before.held].filter((press) => !goesOn(press, now));
  const leaveAt = Math.max(before.onset.ms, ...left.map((press) => leaving(press, now)));
  const heldUntil = Math.max(leaveAt, secondEnd([...before.struck, ...before.held], now));
  const time = Math.max(0, now.onset.ms - leaveAt);
  const mm = travelBetween(task.hand, before, now);
  const isBlack = now.struck[0]?.black ?? false;
  const travel = carryTime(mm, isBlack ? KEYBOARD.blackTopWidth : whiteWidth(task.instrument), task.hand.movement);
  return {
    from: before.struck.flatMap((p) => p.stroke.notes),
    to: now.struck.flatMap((p) => p.stroke.notes),
    time,
    travel,
    window: Math.max(0, Math.min(time, now.onset.ms - heldUntil) - travel),
    short: Math.max(0, travel - time),
    mm,
    isOpen: openBeyond(task, before).length > 0,
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
  const mm = travelBetween(task.hand, frame, next);
  const travel = carryTime(mm, isBlack ? KEYBOARD.blackTopWidth : whiteWidth(task.instrument), task.hand.movement);
  return Math.max(frame.onset.ms, Math.min(sounded, next.onset.ms - travel));
}

/**
 * ms from the start of the piece from which no more than one finger is down, by the next onset: two that are down keep the hand
 * as open as they lie. -Infinity where only one was.
 */
function secondEnd(down: readonly Press[], now: Frame): number {
  const ends = down.map((p) => (goesOn(p, now) ? now.onset.ms : Math.min(now.onset.ms, soundedBy(p))));
  return ends.sort((a, b) => b - a)[1] ?? -Infinity;
}

function goesOn({ stroke }: Press, now: Frame): boolean {
  return stroke.until > now.onset.index;
}

/** When a finger may leave: bound to the next onset, as soon as it has struck; else when its note has sounded. */
function leaving(press: Press, now: Frame): number {
  const end = soundedBy(press);
  return end >= now.onset.ms - 1 ? press.stroke.ms : end;
}

function soundedBy({ stroke }: Press): number {
  return stroke.ms + stroke.soundsMs;
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
