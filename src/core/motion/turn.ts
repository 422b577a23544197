import { rockingRate } from "../fingering/cost/rocking";
import type { Frame } from "../fingering/frame";
import type { NoteId } from "../passage/note";
import { MOTION } from "../physics";

/** Fingers that alternate to and fro, so that the forearm rocks about its own axis. */
export interface Rocking {
  /** In order. */
  readonly notes: readonly NoteId[];
  /** The fastest full cycles a second in it. */
  readonly rate: number;
  /** Fingers between the outermost that strike: 4 for a rocking of thumb and little finger. */
  readonly reach: number;
  /** Whether the rate is beyond ease, and beyond what a forearm can do. */
  readonly grade: "easy" | "fast" | "fails";
}

/** Fewest notes that rock: there, back, and there again. */
const LEAST_NOTES = 4;

/**
 * The rocking figures of a hand: runs of four or more onsets in which the finger turns back at every one. The rate counts
 * a full cycle, to and fro: sixteenths at a quarter note of 120 are eight notes a second, four cycles.
 */
export function rockingsOf(frames: readonly Frame[]): readonly Rocking[] {
  const found: Rocking[] = [];
  let from = 0;
  for (let i = 2; i <= frames.length; i++) {
    const turns = i < frames.length && rockingRate(frames[i - 2]!, frames[i - 1]!, frames[i]!) > 0;
    if (turns) continue;
    if (i - from >= LEAST_NOTES) found.push(rockingIn(frames.slice(from, i)));
    from = i - 1;
  }
  return found;
}

function rockingIn(frames: readonly Frame[]): Rocking {
  const rates = frames.slice(2).map((now, i) => rockingRate(frames[i]!, frames[i + 1]!, now));
  const fingers = frames.map((f) => f.struck[0]!.finger);
  const rate = Math.max(...rates);
  return {
    notes: frames.flatMap((f) => f.struck[0]!.stroke.notes[0]!),
    rate,
    reach: Math.max(...fingers) - Math.min(...fingers),
    grade: rate <= MOTION.rotationEase ? "easy" : rate <= MOTION.rotationFails ? "fast" : "fails",
  };
}
