import { rockingRate } from "../../fingering/cost/rocking";
import type { Hand } from "../../hand/hand";
import type { Frame } from "../../fingering/frames/frame";
import type { NoteId } from "../../passage/note";
import { MOTION, PLAN } from "../../physics";
import type { Place } from "../path/place";

/** Fingers that alternate to and fro, so that the forearm rocks about its own axis. */
export interface Rocking {
  /** In order. */
  readonly notes: readonly NoteId[];
  /** The fastest full cycles a second in it. */
  readonly rate: number;
  /** Fingers between the outermost that strike: 4 for a rocking of thumb and little finger. */
  readonly reach: number;
  /** Degrees that the forearm turns to either side of its middle at the present nearness to the keys. */
  readonly amplitude: number;
  /** Whether the rate is beyond ease, and beyond what a forearm can do. */
  readonly grade: "easy" | "fast" | "fails";
}

/**
 * The rocking figures of a hand: runs of six or more onsets in which finger and key turn back at every one. The rate counts
 * a full cycle, to and fro: sixteenths at a quarter note of 120 are eight notes a second, four cycles.
 */
export function rockingsOf({ rotation }: Hand, frames: readonly Frame[]): readonly Rocking[] {
  const found: Rocking[] = [];
  let from = 0;
  for (let i = 2; i <= frames.length; i++) {
    const turns = i < frames.length && rocks(frames[i - 2]!, frames[i - 1]!, frames[i]!);
    if (turns) continue;
    if (i - from >= PLAN.rockingNotes) found.push(rockingIn(rotation, frames.slice(from, i)));
    from = i - 1;
  }
  return found;
}

/**
 * Whether fingers and keys both turn back, so far apart that the forearm turns: where only fingers do, the hand is carried
 * on and nothing rocks, and neighbours are the fingers' own.
 */
function rocks(earlier: Frame, before: Frame, now: Frame): boolean {
  if (rockingRate(earlier, before, now) === 0) return false;
  const [a, b, c] = [earlier, before, now].map((f) => f.struck[0]!.x) as [number, number, number];
  return (b - a) * (c - b) < 0 && Math.min(Math.abs(b - a), Math.abs(c - b)) > MOTION.forearmFrom[0];
}

function rockingIn({ ease, fails }: Hand["rotation"], frames: readonly Frame[]): Rocking {
  const rates = frames.slice(2).map((now, i) => rockingRate(frames[i]!, frames[i + 1]!, now));
  const fingers = frames.map((f) => f.struck[0]!.finger);
  const rate = Math.max(...rates);
  return {
    notes: frames.flatMap((f) => f.struck[0]!.stroke.notes[0]!),
    rate,
    amplitude: tiltOf(widest(frames)),
    reach: Math.max(...fingers) - Math.min(...fingers),
    grade: rate <= ease ? "easy" : rate <= fails ? "fast" : "fails",
  };
}

/** mm between the two sides that are rocked between. */
function widest(frames: readonly Frame[]): number {
  const x = frames.map((f) => f.struck[0]!.x);
  return Math.max(...x) - Math.min(...x);
}

/**
 * Degrees that a forearm turns to either side of level, about an axis between two tips, so that the one is down and the
 * other over its key: the sine is how much higher the other stands, the key's way and its lift over the key, against the
 * distance of the tips. From the one down to the other down is twice that. Wide figures turn little, near fingers much;
 * fingers that stay closer to the keys turn less. At most a quarter turn.
 * @param mm between the tips; less than one counts as one
 * @param lift mm a tip that is not down stands over its key
 */
export function tiltOf(mm: number, lift: number = PLAN.nearKeys): number {
  return (Math.asin(Math.min(1, (PLAN.keyTravel + lift) / Math.max(1, mm))) * 180) / Math.PI;
}

/**
 * Degrees of turn that each onset asks for, positive towards the little finger: from its neighbours, away from each by
 * the tilt between them, at most what the finger turns at all. A finger in the midst of a run lies between two
 * demands and turns by nothing; one at which the line turns back takes both.
 */
export function rollsWanted(places: readonly Place[]): readonly number[] {
  return places.map(({ frame: { struck } }, i) => {
    const press = struck[0];
    if (struck.length !== 1 || !press) return 0;
    const most = Math.max(...PLAN.rollOfFinger.map(Math.abs));
    let sum = 0;
    for (const beside of [places[i - 1], places[i + 1]]) {
      const other = beside?.frame.struck[0];
      if (!other || other.finger === press.finger) continue;
      sum += (Math.sign(press.finger - other.finger) * Math.min(most, tiltOf(Math.abs(press.x - other.x)))) / 2;
    }
    return sum + PLAN.ownTurnShare * PLAN.rollOfFinger[press.finger - 1]!;
  });
}
