import { strainOfClosing, strainOfOpening } from "../../hand/limits";
import { limitsOf, type Hand } from "../../hand/hand";
import type { Frame, Press } from "../frames/frame";
import { armShare, wideShare } from "./arm";
import type { Moment } from "./cause";
import { apart, mmBetween } from "./pairs";
import { COMFORT, MOTION } from "../../physics";

/**
 * mm that the hand must move at the least between two frames: by how far the pair that asks for most lies outside what
 * its fingers reach in comfort without moving the hand, open or closed. One finger on two keys moves all the way, two
 * fingers on one key by what lies between them at rest. Where the arm sets down whole chords it is what lies between
 * their middles. 0 where every finger of the second comes down where the hand already has it.
 */
export function travelBetween(hand: Hand, from: Frame, to: Frame): number {
  if (from.struck.length === 0 || to.struck.length === 0) return 0;
  const arm = armShare(hand, from) * armShare(hand, to);
  const fingers = arm === 1 ? 0 : mostOf(hand, from, to, outsideComfort);
  return fingers + arm * (Math.abs(middleOf(to) - middleOf(from)) - fingers);
}

/**
 * mm that the arm carries the hand to an onset: as travelBetween, and where the hand lets go of one key and is set down on another
 * from where its fingers are at rest to where they are at rest again.
 */
export function carriedTo({ hand, before, now, letGo }: Moment): number {
  const from = before!.struck;
  const to = now.struck;
  if (!letGo || from.length !== 1 || to.length !== 1) return travelBetween(hand, before!, now);
  return Math.abs(
    mmBetween(from[0]!, to[0]!) - hand.restOffsets[to[0]!.finger - 1]! + hand.restOffsets[from[0]!.finger - 1]!,
  );
}

/** As travelBetween over three frames, where a hand that is still opening wide has not moved yet: openings count as far as they can go. */
export function movedBetween(hand: Hand, from: Frame, to: Frame): number {
  return mostOf(hand, from, to, outsideReach);
}

/**
 * Share of its way by which the thumb going to another key moves the hand, where a finger plays on one side of both in between:
 * MOTION.thumbByItself where the two lie relaxed before and after, for the thumb opens from that finger, 1 from a little beyond. 1
 * for every other finger, which has its place in the hand.
 */
export function thumbMoves(hand: Hand, from: Frame, between: Frame, to: Frame): number {
  if (from.struck.length !== 1 || between.struck.length !== 1 || to.struck.length !== 1) return 1;
  const first = from.struck[0]!;
  const pivot = between.struck[0]!;
  const last = to.struck[0]!;
  if (first.finger !== 1 || last.finger !== 1 || pivot.finger === 1) return 1;
  if (mmBetween(pivot, first) * mmBetween(pivot, last) <= 0) return 1;
  const { leastRelaxed, widestRelaxed } = limitsOf(hand, 1, pivot.finger);
  const beyond = (mm: number): number => Math.max(0, mm - widestRelaxed, leastRelaxed - mm);
  const whole = Math.min(1, Math.max(beyond(apart(first, pivot)), beyond(apart(pivot, last))) / MOTION.rampMm);
  return MOTION.thumbByItself + (1 - MOTION.thumbByItself) * whole;
}

/** Share of the way from relaxed to the comfortable limit, 0 to 1, by which the pair farthest out of place is open or closed. */
export function outOfPlace(hand: Hand, from: Frame, to: Frame): number {
  return mostOf(hand, from, to, awayFromRest);
}

/** How far three single notes go wide out and back, as where octaves are broken: 0 to 1. */
export function wideAndBack(hand: Hand, from: Frame, between: Frame, to: Frame): number {
  if (from.struck.length !== 1 || between.struck.length !== 1 || to.struck.length !== 1) return 0;
  const out = mmBetween(from.struck[0]!, between.struck[0]!);
  const back = mmBetween(between.struck[0]!, to.struck[0]!);
  return out * back < 0 ? wideShare(hand, Math.abs(out)) * wideShare(hand, Math.abs(back)) : 0;
}

function awayFromRest(hand: Hand, from: Press, to: Press): number {
  if (from.finger === to.finger || from.key === to.key) return 0;
  const limits = limitsOf(hand, from.finger, to.finger);
  const mm = apart(from, to);
  return Math.min(1, (strainOfOpening(mm, limits) + strainOfClosing(mm, limits)) / COMFORT);
}

type Measure = (hand: Hand, from: Press, to: Press) => number;

function mostOf(hand: Hand, { struck: from }: Frame, { struck: to }: Frame, of: Measure): number {
  if (from.length === 1 && to.length === 1) return of(hand, from[0]!, to[0]!);
  let most = 0;
  for (const a of from) for (const b of to) most = Math.max(most, of(hand, a, b));
  return most;
}

function outsideComfort(hand: Hand, from: Press, to: Press): number {
  return outside(hand, from, to, false);
}

function outsideReach(hand: Hand, from: Press, to: Press): number {
  return outside(hand, from, to, true);
}

/** mm by which a pair lies outside what it reaches without moving the hand: open in comfort, or as far as it can go. */
function outside(hand: Hand, from: Press, to: Press, atMost: boolean): number {
  if (from.finger === to.finger) return Math.abs(mmBetween(from, to));
  if (from.key === to.key) return Math.abs(hand.restOffsets[to.finger - 1]! - hand.restOffsets[from.finger - 1]!);
  const { leastComfortable, widestComfortable, widestPractical } = limitsOf(hand, from.finger, to.finger);
  const mm = apart(from, to);
  return Math.max(0, mm - (atMost ? widestPractical : widestComfortable), leastComfortable - mm);
}

function middleOf({ struck }: Frame): number {
  let sum = 0;
  for (const { x } of struck) sum += x;
  return sum / struck.length;
}
