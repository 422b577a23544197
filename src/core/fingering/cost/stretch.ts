import { strainOfClosing, strainOfOpening } from "../../hand/limits";
import { limitsOf } from "../../hand/hand";
import { COMFORT, MOTION } from "../../physics";
import type { Press } from "../frames/frame";
import type { Moment } from "./cause";
import { haste, pace } from "./pace";
import { drawnShare } from "./drawn";
import { apart } from "./pairs";

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
 * beyond it, more the less time there is. Past the widest that the pair can open it grows by the square, for a little is made up
 * for by leaving the key a little early, and soon comes to more than a line that breaks, so that the hand lets go.
 */
export function openingStrain({ hand, weights, now }: Moment, from: Press, to: Press): number {
  const limits = limitsOf(hand, from.finger, to.finger);
  const distance = apart(from, to);
  if (distance <= limits.widestRelaxed) return 0;
  const strain = strainOfOpening(Math.min(distance, limits.widestPractical), limits);
  const tooFar = Math.max(0, distance - limits.widestPractical) / MOTION.rampMm;
  const weighed = weights.opening * Math.min(strain, COMFORT) + weights.openingBeyond * Math.max(0, strain - COMFORT);
  return weighed * pace(now.onset.gap) + tooFar ** 2 * weights.lineBroken;
}

/**
 * Strain of closing a pair from one note to the next with the fingers in their order: a share of the curve of openings
 * mirrored, more the faster it goes; no more than the hand's moving costs, for it may move instead, all the way between the
 * two. The thumb crossing another finger is a pass, other fingers crossing a crossing, and a key given from one finger to
 * another needs no closing. The mirroring is a choice: no source prices adduction.
 */
export function crowdingStrain(moment: Moment, from: Press, to: Press): number {
  const limits = limitsOf(moment.hand, from.finger, to.finger);
  const distance = apart(from, to);
  if (distance >= limits.leastRelaxed || distance <= 0) return 0;
  const { crowding, tangle, position, carry, carryAtOnce } = moment.weights;
  const squeezed = crowding * Math.min(COMFORT, strainOfClosing(distance, limits)) * (1 + tangle * haste(moment));
  const drawn = drawnShare(moment, from);
  const closed = carry * (limits.leastRelaxed - distance);
  const moved = drawn * closed + (1 - drawn) * (position + carryAtOnce * closed);
  return Math.min(squeezed, moved * pace(moment.now.onset.gap));
}

/**
 * Strain of two fingers crossing without the thumb: the more, the farther they lie beyond the least opening at which
 * both are at ease.
 */
export function crossingStrain({ hand, weights }: Moment, from: Press, to: Press): number {
  const distance = apart(from, to);
  if (distance >= 0) return 0;
  return (weights.crossing * strainOfClosing(distance, limitsOf(hand, from.finger, to.finger))) / COMFORT;
}
