import type { Hand } from "../hand/hand";
import { PLACEMENT } from "../physics";
import { pivotOf, strainOfUneven, strainOfDeviation, unevenness } from "./evaluate";
import type { TipStanding } from "./standing";
import type { Shape } from "./ways";

/** How a hand lies in and out of the keys. */
export interface Lie {
  /** Degrees, positive towards the little finger. */
  readonly ulnarDeviation: number;
  /** y at which the foremost tip at ease would stand. */
  readonly front: number;
  /** By standing, in order. */
  readonly y: readonly number[];
  /** Uneven tips, bent wrist and depth together. */
  readonly strain: number;
}

/** The easiest lie over the deviations that are tried; null where the tips cannot all reach their parts of the keys. */
export function easiestLie(hand: Hand, shape: Shape, standing: readonly TipStanding[]): Lie | null {
  const wants = standing.map((): Want => ({ offset: 0, front: 0, usual: 0, back: 0 }));
  let [bestDeviation, bestDepth, bestStrain] = [0, 0, Infinity];
  for (const { ulnarDeviation, wrist } of DEVIATIONS) {
    if (wrist >= bestStrain) continue;
    turn(wants, hand, shape, standing, ulnarDeviation);
    const depth = easiestDepth(wants, standing);
    const strain = wrist + strainAt(wants, depth);
    if (strain < bestStrain) [bestDeviation, bestDepth, bestStrain] = [ulnarDeviation, depth, strain];
  }
  if (bestStrain === Infinity) return null;
  turn(wants, hand, shape, standing, bestDeviation);
  return lieAt(wants, standing, bestDeviation, bestDepth, bestStrain);
}

/** 0 first and then to either side, so that equal strain keeps the wrist straight. */
const DEVIATIONS: readonly { readonly ulnarDeviation: number; readonly wrist: number }[] = deviations();

function deviations() {
  const { deviationMost, deviationStep } = PLACEMENT;
  const all: number[] = [];
  for (let ulnarDeviation = -deviationMost[1]; ulnarDeviation <= deviationMost[0]; ulnarDeviation += deviationStep)
    all.push(ulnarDeviation);
  all.sort((a, b) => Math.abs(a) - Math.abs(b) || a - b);
  return all.map((ulnarDeviation) => ({ ulnarDeviation, wrist: strainOfDeviation(ulnarDeviation) }));
}

/** Where one tip wants the hand's front: at its part's front, at its usual contact, at its back, with what it pivots. mm. */
interface Want {
  /** At ease the tip stands at the hand's front plus this. */
  offset: number;
  front: number;
  usual: number;
  back: number;
}

/** Refilled for every ulnarDeviation: this is the solver's inner loop. */
function turn(wants: Want[], hand: Hand, shape: Shape, standing: readonly TipStanding[], ulnarDeviation: number): void {
  for (let i = 0; i < wants.length; i++) {
    const { spot } = standing[i]!;
    const offset = -unevenness(hand, shape, standing[i]!, 0, 0, ulnarDeviation);
    const want = wants[i]!;
    const pivot = pivotOf(standing[i]!.finger);
    want.offset = offset;
    want.front = spot.front - offset - pivot;
    want.usual = spot.usual - offset + pivot;
    want.back = spot.back - offset + pivot;
  }
}

/**
 * Each tip wants the hand's front within an interval that follows from how deep it may play. The deeper the
 * keys may be played, the nearer the intervals come to one another; strain is convex in the depth allowed and
 * straight between the few depths at which something changes, so the best is one of those.
 */
function easiestDepth(wants: readonly Want[], standing: readonly TipStanding[]): number {
  let least = 0;
  for (const { spot } of standing) least = Math.max(least, spot.front - spot.usual);
  const highest = highestOf(wants);
  let [best, bestStrain] = [least, strainAt(wants, least)];
  const consider = (depth: number): void => {
    if (depth <= least) return;
    const strain = strainAt(wants, depth);
    if (strain < bestStrain) [best, bestStrain] = [depth, strain];
  };
  for (const { usual, back } of wants) {
    consider(back - usual);
    consider(highest - 2 * PLACEMENT.freeUneven - usual);
    consider(highest - usual);
  }
  return best;
}

function strainAt(wants: readonly Want[], depth: number): number {
  const gap = Math.max(0, (highestOf(wants) - lowestOf(wants, depth)) / 2);
  return strainOfUneven(gap) + depth * PLACEMENT.depthPerMm;
}

function highestOf(wants: readonly Want[]): number {
  let highest = -Infinity;
  for (const { front } of wants) if (front > highest) highest = front;
  return highest;
}

function lowestOf(wants: readonly Want[], depth: number): number {
  let lowest = Infinity;
  for (const { usual, back } of wants) {
    const most = back < usual + depth ? back : usual + depth;
    if (most < lowest) lowest = most;
  }
  return lowest;
}

function lieAt(
  wants: readonly Want[],
  standing: readonly TipStanding[],
  ulnarDeviation: number,
  depth: number,
  strain: number,
): Lie {
  const [highest, lowest] = [highestOf(wants), lowestOf(wants, depth)];
  const front = highest > lowest ? (highest + lowest) / 2 : comfortableFront(highest, lowest, wants);
  const y = standing.map(({ spot }, i) =>
    Math.min(spot.back, spot.usual + depth, Math.max(spot.front, front + wants[i]!.offset)),
  );
  return { ulnarDeviation, front, y, strain };
}

/** Where there is room, the front at which the tips lie nearest to their usual contacts. */
function comfortableFront(least: number, most: number, wants: readonly Want[]): number {
  const wish = wants.reduce((sum, { front, usual }) => sum + Math.max(front, usual), 0) / wants.length;
  return Math.min(most, Math.max(least, wish));
}
