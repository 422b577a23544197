import { DELAY } from "../physics";
import { medianOf } from "./statistics";

/** How far strokes come from the clicks that they are meant for, ms. */
export interface Delay {
  /** The middle one; after the click where it is above 0. */
  readonly ms: number;
  /** Half of the strokes lie no farther from the middle one. */
  readonly spread: number;
  readonly strokes: number;
}

/**
 * The delay between a click and the strokes on it: each stroke belongs to the click that is nearest.
 * @param clicks when they are heard, in ms, one after another
 * @param strokes when keys went down, by the same clock
 * @returns null for fewer strokes than tell anything, or no click
 */
export function delayOf(clicks: readonly number[], strokes: readonly number[]): Delay | null {
  if (clicks.length === 0 || strokes.length < DELAY.least) return null;
  const off = strokes.map((stroke) =>
    clicks.reduce((best, click) => (Math.abs(stroke - click) < Math.abs(best) ? stroke - click : best), Infinity),
  );
  const ms = medianOf(off);
  return { ms, spread: medianOf(off.map((one) => Math.abs(one - ms))), strokes: strokes.length };
}

/** A delay in one sentence. */
export function sayDelay({ ms, spread }: Delay): string {
  const whole = Math.round(Math.abs(ms));
  const where = whole === 0 ? "on the click" : `${whole} ms ${ms < 0 ? "before" : "after"} the click`;
  return `Your strokes arrive ${where}, half of them within ${Math.round(spread)} ms of that.`;
}
