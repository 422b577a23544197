import { limitsOf, type Hand } from "../../hand/hand";
import { MOTION } from "../../physics";
import type { Frame, Press } from "../frames/frame";
import { apart } from "./pairs";

/** A whole chord beside the hand at rest, by its outer fingers. */
export interface AtRest {
  readonly low: Press;
  readonly high: Press;
  /** mm between the outer fingers as they rest. */
  readonly restApart: number;
  /** mm between them in the chord. */
  readonly apart: number;
  /** How far they are relaxed: 1 up to their widest relaxed opening, 0 from MOTION.rampMm beyond it, for there the thumb opens most. */
  readonly relaxed: number;
}

/** A whole chord beside the hand at rest; null where fewer notes are struck, one finger takes both ends, they cross or nothing of it is relaxed. */
export function besideRest(hand: Hand, { struck }: Frame): AtRest | null {
  if (struck.length < MOTION.wholeFrom) return null;
  const [low, high] = [struck[0]!, struck.at(-1)!];
  if (low.finger >= high.finger) return null;
  const beyond = apart(low, high) - limitsOf(hand, low.finger, high.finger).widestRelaxed;
  const relaxed = Math.min(1, 1 - beyond / MOTION.rampMm);
  if (relaxed <= 0) return null;
  return { low, high, restApart: restApart(hand, low, high), apart: high.x - low.x, relaxed };
}

/** mm across the hand from its middle finger, where a finger rests. */
export function restOf(hand: Hand, { finger }: Press): number {
  return hand.restOffsets[finger - 1]!;
}

/** mm between two fingers as they rest. */
export function restApart(hand: Hand, one: Press, other: Press): number {
  return Math.abs(restOf(hand, other) - restOf(hand, one));
}

/** How far a step, in mm, is wider than the hand lies at rest from thumb to little finger, between the shares of MOTION.wideStep: 0 to 1. */
export function beyondRest({ restOffsets }: Hand, step: number): number {
  const [least, most] = MOTION.wideStep;
  const share = step / (restOffsets.at(-1)! - restOffsets[0]!);
  return Math.min(1, Math.max(0, (share - least) / (most - least)));
}
