import { strainOfClosing } from "../../hand/limits";
import { limitsOf } from "../../hand/hand";
import type { Frame, Press } from "../frames/frame";
import type { Moment } from "./cause";
import { drawnShare } from "./drawn";
import { pace } from "./pace";
import { apart } from "./pairs";
import { COMFORT, MOTION } from "../../physics";

/** mm by which the thumb and another finger have passed one another; 0 where they have not. */
export function passedBy(from: Press, to: Press): number {
  if (from.finger === to.finger || (from.finger !== 1 && to.finger !== 1)) return 0;
  return Math.max(0, -apart(from, to));
}

/** Whether one single note after another passes the thumb. */
export function isPass({ struck: from }: Frame, { struck: to }: Frame): boolean {
  return from.length === 1 && to.length === 1 && passedBy(from[0]!, to[0]!) > 0;
}

/**
 * Strain of the thumb passing under a finger, or a finger over it. How far the thumb comes past each finger follows from the
 * hand's own limits for the two crossed: the nearer to them, the dearer, by the square (at its comfortable limit a crossed pair
 * counts one, at its widest four). The farther that finger's tip lies behind the foremost, the farther the hand must go in or turn
 * over it; a pair that cannot cross in comfort at all, as thumb and little finger, costs more still. Black under the other finger
 * gives the thumb room; the thumb itself on black has none under a finger on white.
 */
export function passStrain(moment: Moment, from: Press, to: Press): number {
  const { weights, hand, now } = moment;
  if (passedBy(from, to) === 0) return 0;
  const thumb = to.finger === 1 ? to : from;
  const other = to.finger === 1 ? from : to;
  const level = thumb.black === other.black ? weights.thumbPassLevel : thumb.black ? weights.thumbPassAgainst : 0;
  const limits = limitsOf(hand, 1, other.finger);
  const crossed = strainOfClosing(apart(from, to), limits) / COMFORT;
  const behind = weights.thumbPassBehind * hand.behind[other.finger - 1]!;
  const tight = weights.thumbPassTight * Math.min(1, Math.max(0, limits.leastComfortable) / MOTION.rampMm);
  const pass = weights.thumbPass + level + behind + tight + weights.thumbPassFar * crossed ** 2;
  const carried = Math.min(pass, weights.carry * (limits.leastRelaxed - apart(from, to)));
  return (pass - drawnShare(moment, from) * (pass - carried)) * pace(now.onset.gap);
}
