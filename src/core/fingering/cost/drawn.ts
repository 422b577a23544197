import type { Press } from "../frames/frame";
import type { Moment } from "./cause";

/** Whether a finger struck a key that another finger had struck just before: the fingers are drawn together over it. */
export function isDrawn({ before, earlier }: Moment, from: Press): boolean {
  if (earlier === null || earlier.struck.length !== 1 || before!.struck.length !== 1) return false;
  const [last] = earlier.struck;
  return last!.key === from.key && last!.finger !== from.finger && before!.struck[0] === from;
}
