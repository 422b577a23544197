import { MOTION } from "../../physics";

/**
 * ms a practised player needs to carry the hand over a distance in mm to a target of a width in mm.
 * Zero for no distance, and continuous from there: the time to set off grows over the first MOTION.rampMm. A target narrower
 * than 10 mm counts as 10.
 * @param movement times as long as usual that this hand needs, see Hand.movement
 * Source: Fitts' law in Shannon's form, T = a + b log2(1 + D/W); the slope see MOTION.fittsSlope.
 */
export function carryTime(distance: number, width: number, movement = 1): number {
  if (distance <= 0) return 0;
  const settingOff = MOTION.fittsIntercept * Math.min(1, distance / MOTION.rampMm);
  const bits = Math.log2(1 + distance / Math.max(width, MOTION.fittsLeastWidth));
  return movement * (settingOff + MOTION.fittsSlope * bits);
}
