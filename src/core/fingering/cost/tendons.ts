import type { Finger } from "../../hand/finger";
import { MOTION } from "../../physics";

/** How little two fingers move apart from one another, 0 to 1; 0 for a finger with itself. */
export function tendonShared(a: Finger, b: Finger): number {
  if (a === b) return 0;
  return MOTION.sharedTendon[`${Math.min(a, b)}${Math.max(a, b)}` as keyof typeof MOTION.sharedTendon];
}
