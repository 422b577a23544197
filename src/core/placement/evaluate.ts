import type { Finger } from "../hand/finger";
import type { Hand } from "../hand/hand";
import { strainOfClosing, strainOfOpening, type Limits } from "../hand/limits";
import { COMFORT, PLACEMENT } from "../physics";
import { AT_ONCE, gainOf, type Demand, type PlacementCauses } from "./causes";
import type { TipStanding } from "./standing";
import { limitsIn, strainOfWay, type Shape, type Way } from "./ways";

/**
 * Strain of a pair of fingers at an opening in mm between contacts: 0 at rest, 50 at the comfortable limit, 100 at the widest;
 * Infinity outside the limits of the hand.
 */
export function strainOfPair(limits: Limits, opening: number): number {
  if (opening > limits.widestPractical + 1e-9 || opening < limits.leastPractical - 1e-9) return Infinity;
  return Math.max(strainOfOpening(opening, limits), strainOfClosing(opening, limits));
}

/**
 * Strain of a tip so many mm farther in or out than the hand at ease has it: 0 up to what is free, then straight to 100 at the most;
 * Infinity beyond.
 */
export function strainOfUneven(mm: number): number {
  const { freeUneven, mostUneven } = PLACEMENT;
  if (mm > mostUneven + 1e-9) return Infinity;
  return mm <= freeUneven ? 0 : (100 * (mm - freeUneven)) / (mostUneven - freeUneven);
}

/** Strain of ulnar deviation in degrees, positive towards the little finger: 0 with ease, 100 at the most, Infinity beyond. */
export function strainOfDeviation(ulnarDeviation: number): number {
  const side = ulnarDeviation >= 0 ? 0 : 1;
  const [ease, most] = [PLACEMENT.deviationEase[side], PLACEMENT.deviationMost[side]];
  const bent = Math.abs(ulnarDeviation);
  if (bent > most + 1e-9) return Infinity;
  return bent <= ease ? 0 : (2 * COMFORT * (bent - ease)) / (most - ease);
}

/**
 * mm by which a tip at depth y lies farther in than the hand at ease has it, when its foremost tip at ease
 * would stand at `front` and it is turned by `ulnarDeviation` degrees. Turning moves a tip in or out by its key's middle: towards
 * the little finger, that finger comes back and the thumb goes in.
 */
export function unevenness(
  hand: Hand,
  shape: Shape,
  at: TipStanding,
  y: number,
  front: number,
  ulnarDeviation: number,
): number {
  const behind = (hand.behindFlat[at.finger - 1] as number) * PLACEMENT.reachDifference[shape];
  return y + at.middle * Math.tan((ulnarDeviation * Math.PI) / 180) - (front - behind);
}

/** mm that a finger swings in and out by itself before it counts as uneven. */
export function pivotOf(finger: Finger): number {
  return finger === 1 ? PLACEMENT.thumbPivot : 0;
}

/** Whether an inner finger stands on a black key while the outer ones stand on white. */
export function isRaised(standing: readonly TipStanding[]): boolean {
  if (standing.length < 3) return false;
  const [first, last] = [standing[0]!, standing.at(-1)!];
  return (
    first.spot.part !== "top" && last.spot.part !== "top" && standing.slice(1, -1).some((s) => s.spot.part === "top")
  );
}

/** Where every tip stands, in order of x, mm; y at which the foremost tip at ease would stand; degrees at the wrist. */
export interface Stance {
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly front: number;
  readonly ulnarDeviation: number;
}

/**
 * The causes of strain of one placement, whole: what the solver minimises and what a brute-force grid
 * evaluates. Standing in order of x.
 */
export function evaluate(
  hand: Hand,
  way: Way,
  standing: readonly TipStanding[],
  { x, y, front, ulnarDeviation }: Stance,
  demand: Demand = AT_ONCE,
): PlacementCauses {
  let [opening, uneven, depth] = [0, 0, 0];
  standing.forEach((a, i) => {
    const apart = Math.abs(unevenness(hand, way.shape, a, y[i]!, front, ulnarDeviation));
    uneven = Math.max(uneven, strainOfUneven(Math.max(0, apart - pivotOf(a.finger))));
    depth = Math.max(depth, Math.max(0, y[i]! - a.spot.usual) * PLACEMENT.depthPerMm);
    for (let j = 0; j < i; j++) {
      const b = standing[j]!;
      const distance = a.finger > b.finger ? x[i]! - x[j]! : x[j]! - x[i]!;
      opening = Math.max(opening, strainOfPair(limitsIn(hand, a.finger, b.finger, way), distance));
    }
  });
  const raised = way.tilt === "upright" && isRaised(standing) ? PLACEMENT.raisedInner : 0;
  const gain = gainOf(demand);
  return {
    opening,
    held: opening * gain.held,
    load: opening * gain.load,
    uneven,
    raised,
    wrist: strainOfDeviation(ulnarDeviation),
    depth,
    way: strainOfWay(way),
  };
}
