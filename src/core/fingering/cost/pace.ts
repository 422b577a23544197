import { MOTION } from "../../physics";
import type { Moment } from "./cause";

const [LEAST, MOST] = MOTION.paceRange;

/**
 * How much more a movement asks for than in the usual time, from one onset to the next: the square root of that time
 * over the time there is, between a third and three. It is continuous, so that strain rises smoothly with the tempo.
 * A choice: between effort that goes with force (the square of the speed) and effort that goes with distance alone.
 */
export function pace(ms: number): number {
  return Math.min(MOST, Math.max(LEAST, Math.sqrt(MOTION.usualMs / ms)));
}

/** By how much the notes come faster than one hand plays with ease, as a share of that; 0 where they do not. */
export function haste({ now }: Pick<Moment, "now">): number {
  return Math.max(0, 1000 / now.onset.gap / MOTION.easyRate - 1);
}
