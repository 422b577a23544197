import type { Press } from "../frames/frame";

/** mm from one finger to another, positive in their natural order. */
export function apart(from: Press, to: Press): number {
  return from.finger < to.finger ? to.x - from.x : from.x - to.x;
}
