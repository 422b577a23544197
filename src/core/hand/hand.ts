import { CONTACT, HAND, KEYBOARD, MOTION } from "../physics";
import { FINGERS, type Finger, type Side } from "./finger";
import type { Limits } from "./limits";
import { PUBLISHED_PROPORTIONS, type ProportionRow } from "./proportions";

/** One of the player's hands, ready for arithmetic. Lengths in mm. */
export interface Hand {
  readonly side: Side;
  /** Outer edge of thumb to outer edge of little finger, open on a table. */
  readonly rulerSpan: number;
  /** Widest practical opening between the contact centres of 1 and 5. */
  readonly keySpan: number;
  /** Limits by pairIndex; each pair is stored once, lower finger first. */
  readonly limits: readonly Limits[];
  /** Sideways place of each fingertip at rest from the middle finger's, thumb first. */
  readonly restOffsets: readonly number[];
  /** How far each fingertip lies behind the foremost when flat, thumb first. */
  readonly behindFlat: readonly number[];
  /** Width of each fingertip, thumb first. */
  readonly tipWidths: readonly number[];
  /** How far each fingertip lies behind the foremost when naturally curved, thumb first. */
  readonly behind: readonly number[];
  /** Hz, full turns of the forearm to and fro that go with ease, and at which they fail. */
  readonly rotation: { readonly ease: number; readonly fails: number };
  /** Times as long as usual that it needs to be carried; 1 where nothing of its own is known. */
  readonly movement: number;
  readonly resting: readonly Finger[];
}

/**
 * A hand scaled pair by pair from the published proportions to a ruler span in mm.
 * @throws RangeError when the span is outside what a human hand can be (130 to 290 mm).
 */
export function handOfRulerSpan(side: Side, rulerSpan: number, resting: readonly Finger[] = []): Hand {
  const [least, most] = HAND.rulerSpanRange;
  if (!(rulerSpan >= least && rulerSpan <= most)) {
    throw new RangeError(`A span of ${rulerSpan} mm is outside what a hand can be (${least} to ${most} mm).`);
  }
  const ratio = (rulerSpan - HAND.rulerToKeySpan) / (HAND.publishedWidest * HAND.publishedSemitone);
  const limits: Limits[] = [];
  for (const row of PUBLISHED_PROPORTIONS) limits[pairIndex(row[0], row[1])] = scaledLimits(row, ratio);
  return handOfLimits(side, limits, rulerSpan, resting);
}

/** A hand of given limits by pairIndex, all else in proportion to its widest opening of 1 and 5. */
export function handOfLimits(
  side: Side,
  limits: readonly Limits[],
  rulerSpan: number | undefined,
  resting: readonly Finger[],
): Hand {
  const keySpan = limits[pairIndex(1, 5)]!.widestPractical;
  const scale = keySpan / (HAND.publishedWidest * HAND.publishedSemitone);
  const restStep = (KEYBOARD.fullOctaveWidth / 7) * scale;
  const behindFlat = HAND.behindForemost.map((length) => length * scale);
  return {
    side,
    rulerSpan: rulerSpan ?? keySpan + HAND.rulerToKeySpan,
    keySpan,
    limits,
    restOffsets: FINGERS.map((finger) => (finger - 3) * restStep),
    behindFlat,
    behind: behindFlat.map((length) => length * HAND.naturalCurve),
    tipWidths: CONTACT.tipWidths,
    rotation: rotationOf(MOTION.rotationEase),
    movement: 1,
    resting,
  };
}

/** Where a pair stands in Hand.limits. The fingers must be in ascending order and differ. */
export function pairIndex(lower: Finger, upper: Finger): number {
  return (lower - 1) * 5 + upper - 1;
}

/** How far two different fingers of a hand close and open, in mm between contacts; in either order. */
export function limitsOf(hand: Hand, a: Finger, b: Finger): Limits {
  return hand.limits[a < b ? pairIndex(a, b) : pairIndex(b, a)] as Limits;
}

/** mm, a length of a full-grown published hand in this hand's proportion. */
export function scaleOf(hand: Hand): number {
  return hand.keySpan / (HAND.publishedWidest * HAND.publishedSemitone);
}

/** The published limits of a pair in a ratio, mm. Where two coincide the ramp between them has a least width. */
export function scaledLimits([, , ...semitones]: ProportionRow, ratio: number): Limits {
  const [leastPractical, leastComfortable, leastRelaxed, widestRelaxed, widestComfortable, widestPractical] =
    semitones.map((value) => value * ratio * HAND.publishedSemitone) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
  const comfortable = Math.max(widestComfortable, widestRelaxed + HAND.leastRamp);
  const closed = Math.min(leastComfortable, leastRelaxed - HAND.leastRamp);
  return {
    leastPractical: Math.min(leastPractical, closed - HAND.leastRamp),
    leastComfortable: closed,
    leastRelaxed,
    widestRelaxed,
    widestComfortable: comfortable,
    widestPractical: Math.max(widestPractical, comfortable + HAND.leastRamp),
  };
}

/** How fast a forearm turns to and fro, from the turns a second that go with ease: where it fails is in proportion. */
export function rotationOf(ease: number): Hand["rotation"] {
  return { ease, fails: (ease * MOTION.rotationFails) / MOTION.rotationEase };
}
