import { MOTION } from "../../physics";
import type { Side } from "../../hand/finger";
import { limitsOf } from "../../hand/hand";
import { whiteWidth } from "../../keyboard/geometry";
import { sameKeys } from "../cost/arm";
import { apart, mmBetween } from "../cost/pairs";
import { passedBy } from "../cost/pass";
import type { NoteId } from "../../passage/note";
import { framesOf } from "../cost/price";
import type { Fingering } from "../study/fingering";
import type { Frame, Press } from "../frames/frame";
import { digitsOf } from "../search/terms";
import { tasksOf, type Study } from "../study/study";
import type { Task } from "../study/task";

/** How one hand comes from one placed position to the next. */
export type JoinKind = "thumb pass" | "crossing" | "shift" | "leap" | "change on the key";

/** A run of onsets that lie under one placed hand. */
export interface Position {
  readonly side: Side;
  /** Notes struck in it, onset by onset, lowest key first. */
  readonly notes: readonly NoteId[];
  /** How it is reached from the one before; null for the first of a hand. */
  readonly join: Join | null;
}

export interface Join {
  readonly kind: JoinKind;
  /** mm that the middle of the hand is carried, without sign. */
  readonly mm: number;
  /** ms that the music leaves for it. */
  readonly ms: number;
}

/**
 * A fingered passage cut into placed positions, hand by hand, right first, each with the join that leads to it.
 * A position goes on for as long as every finger comes down where the hand already has it: in the order of the
 * fingers and no farther from the fingers already placed than they open; and while neighbouring fingers take turns on one
 * key. A note that no finger plays belongs to the position about it.
 */
export function positionsOf(study: Study, fingering: Fingering): readonly Position[] {
  return tasksOf(study).flatMap((task) => cut(task, framesOf(task, digitsOf(task.line, fingering))));
}

type Growing = { side: Side; notes: NoteId[]; join: Join | null };

function cut(task: Task, frames: readonly Frame[]): readonly Position[] {
  const positions: Growing[] = [];
  let placed: Placed = new Map();
  let before: Frame | null = null;
  for (const now of frames) {
    // Neighbouring fingers that take turns on one key are drawn over it: the hand stays there, with the last of them.
    if (before !== null && isDrawnOver(before, now)) placed = new Map();
    const kind = before === null ? null : joinKind(before, now, placed, task);
    if (before === null || kind !== null) {
      const join = before && kind ? { kind, mm: Math.abs(now.centre - before.centre), ms: now.onset.gap } : null;
      positions.push({ side: task.line.side, notes: [], join });
      placed = new Map();
    }
    positions.at(-1)!.notes.push(...now.onset.struck.flatMap((s) => s.notes));
    for (const press of now.struck) placed.set(press.finger, press);
    if (now.struck.length > 0) before = now;
  }
  return positions;
}

/** Where each finger last came down in a position. */
type Placed = Map<number, Press>;

/** null where the hand stays as it is placed. */
function joinKind(before: Frame, now: Frame, placed: Placed, task: Task): JoinKind | null {
  const { hand, instrument } = task;
  if (now.struck.length === 0 || now.onset.swept) return null;
  const pairs = now.struck.flatMap((to) => [...placed.values()].map((from) => [from, to] as const));
  const changed = pairs.some(([from, to]) => from.key === to.key && from.finger !== to.finger);
  if (changed) return "change on the key";
  const single = before.struck.length === 1 && now.struck.length === 1;
  const crossed = pairs.filter(([from, to]) => single && before.struck.includes(from) && crosses(from, to, task));
  if (crossed.some(passesThumb)) return "thumb pass";
  if (crossed.some(([from, to]) => from.finger !== 1 && to.finger !== 1)) return "crossing";
  const leaves = pairs.some(([from, to]) => isCrossed(from, to) || isAway(from, to, hand));
  if (!leaves) return null;
  return Math.abs(now.centre - before.centre) >= instrument.octaveWidth ? "leap" : "shift";
}

/** Whether one key alone is struck twice running, by neighbouring fingers. */
function isDrawnOver(before: Frame, now: Frame): boolean {
  const [from, to] = [before.struck[0], now.struck[0]];
  if (!from || !to || now.struck.length > 1) return false;
  return sameKeys(before, now) && Math.abs(from.finger - to.finger) === 1;
}

/** Whether a finger comes down on the far side of another that it should lie before. */
function isCrossed(from: Press, to: Press): boolean {
  return from.finger !== to.finger && from.key !== to.key && from.finger < to.finger !== from.x < to.x;
}

/** Whether a finger crosses another while that still stands: the thumb within the hand's limits for the pair, long fingers by little; beyond it the hand has moved. */
function crosses(from: Press, to: Press, { hand, instrument }: Task): boolean {
  if (!isCrossed(from, to)) return false;
  const least =
    passedBy(from, to) > 0
      ? limitsOf(hand, from.finger, to.finger).leastPractical
      : -MOTION.longFingersCross * whiteWidth(instrument);
  return apart(from, to) >= least;
}

/** The thumb passes fingers 2 to 4; past the little finger the whole hand moves. */
function passesThumb([from, to]: readonly [Press, Press]): boolean {
  return (from.finger === 1 || to.finger === 1) && from.finger !== 5 && to.finger !== 5;
}

/** Whether two fingers lie farther apart than one placed hand can have them, or one finger has moved. */
function isAway(from: Press, to: Press, hand: Task["hand"]): boolean {
  if (from.finger === to.finger) return from.key !== to.key;
  return Math.abs(mmBetween(from, to)) > limitsOf(hand, from.finger, to.finger).widestPractical;
}
