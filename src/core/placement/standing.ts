import type { Finger } from "../hand/finger";
import type { Hand } from "../hand/hand";
import { CONTACT } from "../physics";
import { keyMiddle } from "../keyboard/geometry";
import { contactOn } from "../keyboard/contact";
import type { Instrument } from "../keyboard/instrument";
import type { Interval, PairBound } from "./openings";
import type { Allowed, Hold, Tip } from "./placement";
import { spotsOn, type Spot } from "./spots";
import { limitsIn, type Way } from "./ways";

/** A finger on one part of a key, in the hand's own coordinates: x rises towards finger 5 in either hand. */
export interface TipStanding {
  readonly finger: Finger;
  readonly spot: Spot;
  /** mm, middle of the key: ulnarDeviation moves the tip in or out by it. */
  readonly middle: number;
  /** mm, where the tip would stand of itself. */
  readonly wish: number;
}

/** Every choice of a part for each key. */
export function standingChoices(
  hand: Hand,
  on: Instrument,
  holds: readonly Hold[],
  { parts, aim }: Allowed,
): readonly (readonly TipStanding[])[] {
  let choices: readonly (readonly TipStanding[])[] = [[]];
  for (const { finger, key } of holds) {
    const spots = spotsOn(key, hand.tipWidths[finger - 1]!, on).filter(
      (s) => s.part === "top" || !parts || parts.includes(s.part),
    );
    const middle = mirrored(hand, keyMiddle(key, on));
    const wish = mirrored(hand, contactOn(key, on).x);
    choices = choices.flatMap((choice) =>
      spots.map((spot) => [
        ...choice,
        { finger, spot: mirroredSpot(hand, aim === "middles" ? middleOf(spot) : spot), middle, wish },
      ]),
    );
  }
  return choices;
}

/** A tip that stands somewhere, in the hand's own coordinates. */
export function standingOf(hand: Hand, on: Instrument, { finger, key, part, at }: Tip): TipStanding {
  const spot = spotsOn(key, hand.tipWidths[finger - 1]!, on).find((s) => s.part === part)!;
  return {
    finger,
    spot: mirroredSpot(hand, spot),
    middle: mirrored(hand, keyMiddle(key, on)),
    wish: mirrored(hand, at.x),
  };
}

/** The limits of every pair of tips in a way of holding the hand. */
export function pairsOf(hand: Hand, way: Way, standing: readonly TipStanding[]): readonly PairBound[] {
  return standing.flatMap((a, i) =>
    standing.slice(i + 1).map((b, n): PairBound => {
      const j = i + 1 + n;
      const [low, high] = a.finger < b.finger ? [i, j] : [j, i];
      return { low, high, limits: limitsIn(hand, a.finger, b.finger, way) };
    }),
  );
}

/** Where along the keys each tip may stand, in mm, in the order of the tips. */
export function intervalsOf(standing: readonly TipStanding[]): readonly Interval[] {
  return standing.map(({ spot }) => ({ least: spot.left, most: spot.right }));
}

/** mm along the keyboard as a right hand has it: mirrored for a left one. */
export function mirrored(hand: Hand, x: number): number {
  return hand.side === "right" ? x : -x;
}

function mirroredSpot(hand: Hand, spot: Spot): Spot {
  return hand.side === "right" ? spot : { ...spot, left: -spot.right, right: -spot.left };
}

/** A spot confined to its middle, give or take what nobody aims at. */
function middleOf(spot: Spot): Spot {
  const middle = (spot.left + spot.right) / 2;
  const half = Math.min(CONTACT.middleGive, (spot.right - spot.left) / 2);
  return { ...spot, left: middle - half, right: middle + half };
}
