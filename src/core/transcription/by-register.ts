import type { Side } from "../hand/finger";
import { TRANSCRIPTION } from "../physics";
import { compare, subtract, toNumber, type Beats } from "../time/beats";

/** A key that has no hand yet. */
interface Unshared {
  readonly key: number;
  readonly at: Beats;
  readonly length: Beats;
}

/** Where the hands are after a moment. */
interface Way {
  readonly total: number;
  /** How many of the moment's keys, from the lowest, are the left hand's. */
  readonly split: number;
  /** Middle of what each hand played last, in keys. */
  readonly right: number;
  readonly left: number;
  /** The hand that played alone at this moment; null where both did. */
  readonly alone: Side | null;
  readonly from: Way | null;
}

/** Middle of the keyboard, and where hands begin, in keys. */
const BEGIN = { right: 69, left: 51 };

/**
 * How some keys would be written for two hands by where they lie alone, before anything is asked of real hands: each hand
 * stays near where it was, opens no wider than an octave or so, and a line of single notes stays with the hand that has it.
 * The cheapest way through all moments, by dynamic programming over the places at which each may be split.
 * @param keys in order of time, the lowest first
 */
export function byRegister(keys: readonly Unshared[]): readonly Side[] {
  const moments: number[][] = [];
  keys.forEach(({ at }, i) => {
    if (i > 0 && compare(at, keys[i - 1]!.at) === 0) moments.at(-1)!.push(i);
    else moments.push([i]);
  });
  let ways: readonly Way[] = [{ total: 0, split: 0, ...BEGIN, alone: null, from: null }];
  moments.forEach((members, m) => {
    const own = members.map((i) => keys[i]!.key);
    const before = moments[m - 1]?.[0];
    const gap = before === undefined ? 4 : toNumber(subtract(keys[members[0]!]!.at, keys[before]!.at));
    ways = own.concat(0).map((_, split) => cheapestTo(ways, own, split, gap));
  });
  const sides: Side[] = [];
  let way: Way | null = ways.reduce((a, b) => (b.total < a.total ? b : a));
  for (let m = moments.length - 1; m >= 0 && way; m--, way = way.from)
    for (const [place, i] of moments[m]!.entries()) sides[i] = place < way.split ? "left" : "right";
  return sides;
}

function cheapestTo(ways: readonly Way[], keys: readonly number[], split: number, gap: number): Way {
  const [lower, upper] = [keys.slice(0, split), keys.slice(split)];
  let best: Way | null = null;
  for (const from of ways) {
    const [left, right] = [middleOr(lower, from.left), middleOr(upper, from.right)];
    const alone = upper.length === 0 ? "left" : lower.length === 0 ? "right" : null;
    // A line goes on in the hand that has it, the more so the quicker it is.
    const passed =
      alone !== null && from.alone !== null && alone !== from.alone ? TRANSCRIPTION.linePassed / (0.25 + gap) : 0;
    const total =
      from.total +
      moved(from.left, left, gap) * lower.length +
      moved(from.right, right, gap) * upper.length +
      opened(lower) +
      opened(upper) +
      passed +
      Math.max(0, left - right + CLOSEST) * TRANSCRIPTION.handsNear;
    if (best === null || total < best.total) best = { total, split, left, right, alone, from };
  }
  return best!;
}

/** Keys between the middles of two hands that do not get in each other's way. */
const CLOSEST = 5;

function middleOr(keys: readonly number[], otherwise: number): number {
  return keys.length === 0 ? otherwise : (keys[0]! + keys.at(-1)!) / 2;
}

/** What it costs to go so far: nothing within a hand's breadth, more where there is little time. */
function moved(from: number, to: number, gap: number): number {
  return Math.max(0, Math.abs(to - from) - TRANSCRIPTION.withinHand) / (0.5 + gap);
}

function opened(keys: readonly number[]): number {
  if (keys.length === 0) return 0;
  const span = keys.at(-1)! - keys[0]!;
  return Math.max(0, span - TRANSCRIPTION.openFreely) * TRANSCRIPTION.openWide + Math.max(0, keys.length - 5) * 20;
}
