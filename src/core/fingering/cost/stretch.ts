import { COMFORT, strainOfClosing, strainOfOpening } from "../../hand/limits";
import { limitsOf } from "../../hand/hand";
import { MOTION } from "../../physics";
import type { Press } from "../frames/frame";
import type { Moment } from "./cause";
import { carryTime } from "./fitts";

/** mm from one finger to another, positive in their natural order. */
export function apart(from: Press, to: Press): number {
  return from.finger < to.finger ? to.x - from.x : from.x - to.x;
}

/** mm by which a pair opens beyond relaxed; 0 or less where it does not. */
export function openBeyond({ hand }: Moment, from: Press, to: Press): number {
  return apart(from, to) - limitsOf(hand, from.finger, to.finger).widestRelaxed;
}

/** mm by which a pair is closer than relaxed; 0 or less where it is not. */
export function closerBy({ hand }: Moment, from: Press, to: Press): number {
  return limitsOf(hand, from.finger, to.finger).leastRelaxed - apart(from, to);
}

/**
 * Strain of opening a pair from one note to the next: a share of the placement curve up to comfort and another
 * beyond it, more where the music leaves no window in which the hand can close again.
 */
export function openingStrain({ hand, weights, now }: Moment, from: Press, to: Press): number {
  const limits = limitsOf(hand, from.finger, to.finger);
  const distance = apart(from, to);
  if (distance <= limits.widestRelaxed) return 0;
  const strain = strainOfOpening(distance, limits);
  const weighed = weights.opening * Math.min(strain, COMFORT) + weights.openingBeyond * Math.max(0, strain - COMFORT);
  const window = now.onset.gap - carryTime(distance - limits.widestRelaxed, MOTION.fittsLeastWidth);
  const short = Math.min(1, Math.max(0, 1 - window / MOTION.closeMs));
  return weighed * (1 + weights.openingNoWindow * short);
}

/**
 * Strain, 0 to 100 times its weight, of closing a pair from one note to the next: a share of the curve of openings
 * mirrored, more the faster it goes. The mirroring is a choice: no source prices adduction.
 */
export function crowdingStrain(moment: Moment, from: Press, to: Press): number {
  const limits = limitsOf(moment.hand, from.finger, to.finger);
  const distance = apart(from, to);
  if (distance >= limits.leastRelaxed) return 0;
  const { crowding, tangle } = moment.weights;
  return crowding * strainOfClosing(distance, limits) * (1 + tangle * haste(moment));
}

/** By how much the notes come faster than one hand plays with ease, as a share of that; 0 where they do not. */
export function haste({ now }: Moment): number {
  return Math.max(0, 1000 / now.onset.gap / MOTION.easyRate - 1);
}

/** mm by which the thumb and another finger have passed one another; 0 where they have not. */
export function passedBy(from: Press, to: Press): number {
  if (from.finger === to.finger || (from.finger !== 1 && to.finger !== 1)) return 0;
  return Math.max(0, -apart(from, to));
}

/** Strain of the thumb passing under a finger, or a finger over it: which finger, black or white, how far, which way. */
export function passStrain({ weights }: Moment, from: Press, to: Press): number {
  const passed = passedBy(from, to);
  if (passed === 0) return 0;
  const isUnder = to.finger === 1;
  const [thumb, other] = isUnder ? [to, from] : [from, to];
  const level = thumb.black === other.black ? weights.thumbPassLevel : thumb.black ? weights.thumbPassAgainst : 0;
  const perMm = weights.thumbPassPerMm[other.finger - 2] as number;
  const finger = weights.thumbPassFinger[other.finger - 2] as number;
  return weights.thumbPass + (isUnder ? weights.thumbPassUnder : 0) + level + passed * perMm + finger;
}
