import { limitsOf } from "../../hand/hand";
import { KEYBOARD, MOTION } from "../../physics";
import { whiteWidth } from "../../keyboard/geometry";
import type { Onset } from "../../passage/line";
import type { Frame, Press } from "../frames/frame";
import { armBetween } from "./arm";
import type { Moment } from "./cause";
import { carryTime } from "./fitts";
import { mmBetween } from "./pairs";
import { passStrain } from "./pass";
import { crossingStrain, crowdingStrain, openingStrain } from "./stretch";
import { travelBetween } from "./travel";

/** ms before now at which a finger that struck at the onset before may leave its key; less than one counts as none. */
export function freeBefore({ stroke }: Press, { now, before }: Moment): number {
  if (stroke.until > now.onset.index || stroke.onset !== before!.onset.index) return 0;
  const free = now.onset.gap - stroke.soundsMs;
  return free < 1 ? 0 : free;
}

/**
 * Share of a stretch between two notes that is really made, MOTION.orderKept to 1. A finger that may leave its key before
 * the next onset need not stretch: the arm carries the hand while it is free. All of it is made in legato; where the free
 * time is as long as Fitts' law asks for the way, a part remains, for the fingers keep their order all the same: so one
 * knows where one is.
 */
export function legatoShare(from: Press, moment: Moment): number {
  const { now, before, instrument, hand } = moment;
  const free = freeBefore(from, moment);
  if (free === 0) return 1;
  const width = now.struck[0]!.black ? KEYBOARD.blackTopWidth : whiteWidth(instrument);
  const needed = carryTime(travelBetween(hand, before!, now), width, hand.movement);
  return Math.max(MOTION.orderKept, needed === 0 ? 0 : 1 - free / needed);
}

/**
 * Strain of a line that breaks: the hand lets go and is set down anew. Less where the school carries the hand across wide
 * arpeggios, where the pedal sounds on, and where no two fingers could join the notes: there the music asks for a leap.
 * Nothing where the arm sets down both of two chords, half of it to and from one; less between narrow pairs whose notes are set
 * down together by other fingers: thirds and sixths go by threes of them, and the hand is set anew; and less from one broken
 * chord to the next.
 */
export function breakPrice(moment: Moment): number {
  const { manner, weights, hand, instrument, before, now } = moment;
  const together = areSetDown(before!, now) ? MOTION.setDownTogether : 0;
  const anew = now.onset.anew ? MOTION.setDownAnew : 1;
  const fingers =
    anew * (1 - armBetween(hand, before!, now)) * (1 - together) * (1 - MOTION.leapAsked * beyondAllReach(moment));
  if (!isWide(before!, now, MOTION.carriedFrom * whiteWidth(instrument))) return weights.lineBroken * fingers;
  const bySchool = manner.arpeggios === "carried" ? weights.carriedAcross : Infinity;
  return Math.min(bySchool, manner.pedal ? weights.carriedByPedal : Infinity, weights.lineBroken) * fingers;
}

/** Whether several notes are set down at once after several, with other fingers: the same ones would hop from pair to pair. */
function areSetDown({ struck: from }: Frame, { struck: to }: Frame): boolean {
  const isSame = from.length === to.length && from.every(({ finger }, i) => finger === to[i]!.finger);
  return from.length > 1 && to.length > 1 && !isSame;
}

/**
 * Share of the price of a broken line that a finger pays which goes on to another key itself: the thumb less where it glides on
 * to the next white key in one of two lines, under or over a note that is held.
 */
export function hopShare(from: Press, to: Press, { now, before }: Moment): number {
  const isOfTwoLines = now.held.length + before!.held.length > 0;
  const glides = to.finger === 1 && !to.black && Math.abs(to.key - from.key) <= MOTION.glidesOver;
  return isOfTwoLines && glides ? MOTION.glide : 1;
}

/** How far all keys of one onset lie beyond the reach of a hand on those of the next: 0 within it, 1 from a little beyond. */
function beyondAllReach({ hand, before, now }: Moment): number {
  let nearest = Infinity;
  for (const from of before!.struck)
    for (const to of now.struck) nearest = Math.min(nearest, Math.abs(mmBetween(from, to)));
  return Math.min(1, Math.max(0, nearest - limitsOf(hand, 1, 5).widestPractical) / MOTION.rampMm);
}

/** Whether single notes lie so far apart that the hand may be carried from one to the other by another finger. */
function isWide({ struck: [from, ...more] }: Frame, { struck: [to, ...others] }: Frame, mm: number): boolean {
  if (!from || !to || more.length + others.length > 0) return false;
  return from.finger !== to.finger && Math.abs(mmBetween(from, to)) >= mm;
}

/**
 * What it strains to go from one onset to the next with the fingers, without letting go: every pair opened, crowded,
 * passed or crossed, and every finger that must be on two keys.
 */
function boundStrain(moment: Moment): number {
  const { before, now, weights, hand } = moment;
  const hop = weights.lineBroken * (1 - armBetween(hand, before!, now));
  const share = 1 / (before!.struck.length * now.struck.length);
  let strain = 0;
  for (const from of before!.struck) {
    for (const to of now.struck) {
      if (from.finger === to.finger)
        strain += from.key === to.key ? 0 : (hopShare(from, to, moment) * hop) / now.struck.length;
      else strain += share * pairStrain(moment, from, to);
    }
  }
  if (before!.held.length > 0)
    overEnded(before!, now, (from, to, part) => (strain += part * crossedStrain(moment, from, to)));
  return strain;
}

function pairStrain(moment: Moment, from: Press, to: Press): number {
  return openingStrain(moment, from, to) + crowdingStrain(moment, from, to) + crossedStrain(moment, from, to);
}

/** Strain of two fingers coming past one another, the thumb or not. */
function crossedStrain(moment: Moment, from: Press, to: Press): number {
  return from.finger === 1 || to.finger === 1 ? passStrain(moment, from, to) : crossingStrain(moment, from, to);
}

/**
 * Whether the hand lets go between two onsets and is carried: where nothing is held over and that strains less than
 * joining them with the fingers would. By these two onsets alone, whatever went before.
 */
export function letsGo(moment: Moment): boolean {
  const { now, before } = moment;
  if (before === null || before.struck.length === 0 || now.struck.length === 0) return false;
  if (now.held.length > 0 || now.onset.swept) return false;
  return boundStrain(moment) > breakPrice(moment);
}

type Visit = (from: Press, to: Press, share: number) => void;

/**
 * Every pair of a finger that struck before and one that strikes now, with the share of it that is really stretched.
 * Between chords the pairs share one note's weight, for the hand moves as a whole. Within a rolled chord nothing has
 * to stretch: the hand sweeps; nor where it lets go.
 */
export function eachJoinPair(moment: Moment, visit: Visit): void {
  const { now, before, letGo } = moment;
  if (before === null || letGo || now.onset.swept) return;
  const share = 1 / (Math.max(1, before.struck.length) * Math.max(1, now.struck.length));
  for (const from of before.struck) {
    if (now.struck.length === 0 || now.held.includes(from)) continue;
    const legato = share * legatoShare(from, moment);
    for (const to of now.struck) if (from.finger !== to.finger) visit(from, to, legato);
  }
}

/**
 * The pairs of eachJoinPair, and those of a finger that held a note until now and one that strikes now: each has its part of what
 * one of several notes has.
 */
export function eachBoundPair(moment: Moment, visit: Visit): void {
  eachJoinPair(moment, visit);
  const { now, before, letGo } = moment;
  if (before !== null && before.held.length > 0 && !letGo && !now.onset.swept) overEnded(before, now, visit);
}

function overEnded(before: Frame, now: Frame, visit: Visit): void {
  for (const from of before.held) {
    if (!isHeldUntil(from, now.onset) || now.held.includes(from)) continue;
    for (const to of now.struck) if (from.finger !== to.finger) visit(from, to, 1 / now.struck.length);
  }
}

/** Whether a note is held right up to an onset and ends there. */
export function isHeldUntil({ stroke }: Press, { index, ms }: Onset): boolean {
  return stroke.until === index && stroke.ms + stroke.soundsMs > ms - 1;
}
