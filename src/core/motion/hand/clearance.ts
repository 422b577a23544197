import { clearanceBetween } from "../../fingering/cost/clearance";
import { apart } from "../../fingering/cost/pairs";
import type { Frame, Press } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { limitsOf } from "../../hand/hand";
import { blackAt } from "../../keyboard/geometry";
import { isBlack, isOnKeyboard } from "../../keyboard/pitch";
import type { NoteId } from "../../passage/note";
import { KEYBOARD, PLACEMENT, PLAN } from "../../physics";

/** How near a finger comes to a key that it does not play. */
export interface Clearance {
  readonly note: NoteId;
  readonly fingers: readonly [number, number];
  /** mm over the key; negative where it cannot pass over it. */
  readonly mm: number;
  /** Inside a chord, or on the way to a single note. */
  readonly kind: "chord" | "stretch";
  /** What would give more, most first: mm gained by each. */
  readonly gains: readonly ClearanceGain[];
}

interface ClearanceGain {
  readonly change: "angle" | "tilt" | "depth" | "height";
  readonly mm: number;
}

/** Clearances under a few mm, at each onset the least of its chord and the least on its way. */
export function clearancesOf(task: Task, frames: readonly Frame[], under: number): readonly Clearance[] {
  return frames.flatMap((now, i) => {
    const found = [...insideChord(task, now), ...onTheWay(task, frames[i - 1] ?? null, now)];
    const least = found.sort((a, b) => a.mm - b.mm)[0];
    return least && least.mm < under ? [least] : [];
  });
}

function insideChord(task: Task, now: Frame): readonly Clearance[] {
  const isIn = now.struck.some((p) => p.black);
  const mirror = task.hand.side === "right" ? 1 : -1;
  return now.struck.slice(1).flatMap((to, i): Clearance[] => {
    const from = now.struck[i]!;
    const idle = to.finger - from.finger - 1;
    return Array.from({ length: Math.max(0, idle) }, (_, n): Clearance => {
      const x = from.x + ((to.x - from.x) * (n + 1)) / (idle + 1);
      // A hand whose fingers play black keys stands as high as those beside.
      const isOver = isIn && !(from.black && to.black) && blackAt(mirror * x, task.instrument);
      return clearance(task, from, to, isOver, "chord");
    });
  });
}

/**
 * A finger that stretches from a black key to a white one comes down past the black key before it. Nothing stretches where
 * the note before has been let go, nor where the way is wider than the pair opens: there the hand is carried.
 */
function onTheWay(task: Task, before: Frame | null, now: Frame): readonly Clearance[] {
  const [from, to] = [before?.struck[0], now.struck[0]];
  if (!from || !to || before!.struck.length !== 1 || now.struck.length !== 1 || from.finger === to.finger) return [];
  const isBound = from.stroke.ms + from.stroke.soundsMs >= now.onset.ms - 1;
  if (!isBound || apart(from, to) > limitsOf(task.hand, from.finger, to.finger).widestPractical) return [];
  const beside = to.key + (to.key > from.key ? -1 : 1);
  const isOver = from.black && !to.black && Math.abs(to.key - from.key) > 1 && isOnKeyboard(beside) && isBlack(beside);
  return [clearance(task, from, to, isOver, "stretch")];
}

function clearance(task: Task, from: Press, to: Press, isOver: boolean, kind: Clearance["kind"]): Clearance {
  const { hand } = task;
  const mm = clearanceBetween(hand, from, to, isOver);
  const apart = Math.abs(to.x - from.x);
  // The same opening lies farther along the hand when that is turned, and a leaning hand opens its outer pairs by more.
  const closer = { ...to, x: from.x + Math.sign(to.x - from.x) * apart * Math.cos((PLAN.angleTried * Math.PI) / 180) };
  const outer = [from.finger, to.finger].some((f) => f === 1 || f === 5);
  const leaning = { ...to, x: from.x + (to.x - from.x) / (1 + (outer ? PLACEMENT.tiltGain : 0)) };
  const all: readonly ClearanceGain[] = [
    { change: "depth", mm: isOver && !from.black && !to.black ? KEYBOARD.blackHeight : 0 },
    { change: "height", mm: PLAN.heightTried * PLAN.clearancePerHeight },
    { change: "angle", mm: clearanceBetween(hand, from, closer, isOver) - mm },
    { change: "tilt", mm: clearanceBetween(hand, from, leaning, isOver) - mm },
  ];
  const gains = Number.isFinite(mm) ? all.filter((g) => g.mm > PLAN.clearanceWorth).sort((a, b) => b.mm - a.mm) : [];
  return { note: to.stroke.notes[0]!, fingers: [from.finger, to.finger], mm, kind, gains };
}
