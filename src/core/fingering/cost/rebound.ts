import { MOTION } from "../../physics";
import type { Press } from "../frames/frame";

/** Hz beyond what a finger repeats with ease; two strokes and no more go faster, for the hand rebounds once by itself. */
export function fastFor({ finger }: Press, rate: number, strokes: "twice" | "more"): number {
  return Math.max(0, rate - MOTION.repeatEase[finger - 1]! * (strokes === "twice" ? MOTION.rebound : 1));
}
