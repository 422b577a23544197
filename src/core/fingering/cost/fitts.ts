import { MOTION } from "../../physics";

/**
 * ms a practised player needs to carry the hand over a distance in mm to a target of a width in mm.
 * Zero for no distance; a target narrower than 10 mm counts as 10.
 * Source: Fitts' law in Shannon's form, T = a + b log2(1 + D/W).
 */
export function carryTime(distance: number, width: number): number {
  if (distance <= 0) return 0;
  return MOTION.fittsIntercept + MOTION.fittsSlope * Math.log2(1 + distance / Math.max(width, MOTION.fittsLeastWidth));
}
