import { limitsOf, type Hand } from "../../hand/hand";
import { KEYBOARD, MOTION } from "../../physics";
import type { Press } from "../frames/frame";
import { apart } from "./pairs";

/**
 * mm between a finger of an open pair and a key that it passes over or lies above; Infinity where the pair is no farther
 * open than relaxed, negative where it cannot pass. The farther open, the flatter it lies: the lift shrinks to nothing at
 * the widest, and a black key takes its height of it.
 */
export function clearanceBetween(hand: Hand, from: Press, to: Press, overBlack: boolean): number {
  const { widestRelaxed, widestPractical } = limitsOf(hand, from.finger, to.finger);
  const opened = Math.min(1, Math.max(0, (apart(from, to) - widestRelaxed) / (widestPractical - widestRelaxed)));
  if (opened === 0) return Infinity;
  return MOTION.lift * (1 - opened) - (overBlack ? KEYBOARD.blackHeight : 0);
}
