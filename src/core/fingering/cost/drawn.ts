import { MOTION } from "../../physics";
import type { Press } from "../frames/frame";
import type { Moment } from "./cause";

const QUICKEST = Math.max(...MOTION.repeatEase);

/**
 * How far the fingers are drawn together over a key that one finger struck just before another: 1 where the strokes come faster
 * than any finger repeats with ease, 0 from MOTION.drawnRampHz slower, for then each finger is put down by itself; 0 where no
 * finger follows another on a key.
 */
export function drawnShare({ before, earlier }: Moment, from: Press): number {
  if (earlier === null || earlier.struck.length !== 1 || before!.struck.length !== 1) return 0;
  const last = earlier.struck[0]!;
  if (last.key !== from.key || last.finger === from.finger || before!.struck[0] !== from) return 0;
  const slower = QUICKEST - 1000 / before!.onset.gap;
  return Math.min(1, Math.max(0, 1 - slower / MOTION.drawnRampHz));
}
