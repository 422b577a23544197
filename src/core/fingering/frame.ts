import type { Finger } from "../hand/finger";
import { limitsOf, type Hand } from "../hand/hand";
import { contactOn } from "../keyboard/contact";
import type { Instrument } from "../keyboard/instrument";
import { isBlack } from "../keyboard/pitch";
import type { Onset, Stroke } from "../passage/line";

/** A finger on a key. x in mm, mirrored for the left hand so that it always rises towards finger 5. */
export interface Press {
  readonly finger: Finger;
  readonly stroke: Stroke;
  readonly black: boolean;
  readonly x: number;
  /** mm from the white fronts. */
  readonly y: number;
  /** mm, least and greatest mirrored x at which the patch still lies on the key. */
  readonly least: number;
  readonly most: number;
}

/** The hand at one onset: what it strikes, what it goes on holding, and what it could not. */
export interface Frame {
  readonly onset: Onset;
  /** Fingers that strike now, in order of x. */
  readonly struck: readonly Press[];
  /** Fingers that go on holding earlier strokes. */
  readonly held: readonly Press[];
  /** Earlier strokes that should be held on but had to be let go now, with the mm by which they were out of reach. */
  readonly letGo: readonly { readonly press: Press; readonly short: number }[];
  /** Strokes of this onset that no finger plays. */
  readonly leftOut: readonly Stroke[];
  /** mm, mirrored x of the middle of the hand when every finger that strikes lies where it rests. */
  readonly centre: number;
  /** mm, how far in the foremost fingertip stands. */
  readonly depth: number;
}

/** What frames are made with. */
export interface Bench {
  readonly hand: Hand;
  readonly instrument: Instrument;
}

/** The press of a finger on a stroke's key, at the usual contact. */
export function press(finger: Finger, stroke: Stroke, { hand, instrument }: Bench): Press {
  const { x, y, leftmost, rightmost } = contactOn(stroke.key, instrument);
  const black = isBlack(stroke.key);
  return hand.side === "right"
    ? { finger, stroke, black, x, y, least: leftmost, most: rightmost }
    : { finger, stroke, black, x: -x, y, least: -rightmost, most: -leftmost };
}

/** The first frame, or the frame that follows one, when these fingers strike at an onset. */
export function frameAfter(
  before: Frame | null,
  onset: Onset,
  struck: readonly Press[],
  leftOut: readonly Stroke[],
  on: Bench,
): Frame {
  const held: Press[] = [];
  const letGo: { press: Press; short: number }[] = [];
  for (const holding of before ? [...before.held, ...before.struck] : []) {
    if (holding.stroke.until <= onset.index) continue;
    const short = shortOf(holding, struck, on);
    if (short === null) held.push(holding);
    else letGo.push({ press: holding, short });
  }
  return { onset, struck, held, letGo, leftOut, ...stance(struck, before, on.hand) };
}

/** mm by which two fingers cannot hold their keys together, aiming at the facing edges; 0 when they can. */
export function shortOfReach(a: Press, b: Press, { hand }: Bench): number {
  const [low, high] = a.finger < b.finger ? [a, b] : [b, a];
  const limits = limitsOf(hand, low.finger, high.finger);
  return Math.max(0, high.least - low.most - limits.widestPractical, limits.leastPractical - (high.most - low.least));
}

/** null when the held finger may stay; otherwise the mm it is short by, 0 when its finger is wanted elsewhere. */
function shortOf(holding: Press, struck: readonly Press[], on: Bench): number | null {
  let short: number | null = null;
  for (const other of struck) {
    const by = other.finger === holding.finger ? 0 : shortOfReach(holding, other, on);
    if (by > 0 || other.finger === holding.finger) short = Math.max(short ?? 0, by);
  }
  return short;
}

function stance(struck: readonly Press[], before: Frame | null, hand: Hand): { centre: number; depth: number } {
  if (struck.length === 0) return { centre: before?.centre ?? 0, depth: before?.depth ?? 0 };
  let centre = 0;
  let depth = 0;
  for (const at of struck) {
    centre += at.x - (hand.restOffsets[at.finger - 1] as number);
    depth += at.y + (hand.behind[at.finger - 1] as number);
  }
  return { centre: centre / struck.length, depth: depth / struck.length };
}
