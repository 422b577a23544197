import { leastAt, widestAt, type Limits } from "../hand/limits";

/**
 * Places along the keys for several tips at once, exactly. Each tip has an interval, each pair of tips an
 * interval for its distance; a place for all exists when the tightest bounds that follow from them do not
 * contradict one another (shortest paths over at most six nodes, the first of them the keyboard's own zero).
 */
export interface Interval {
  readonly least: number;
  readonly most: number;
}

/** A pair of tips by their place in the list, the first with the smaller finger, and the limits of its opening. */
export interface PairBound {
  readonly low: number;
  readonly high: number;
  readonly limits: Limits;
}

/** Tightest bounds: bounds[i * n + j] is the most that node j may lie beyond node i. */
export type OpeningBounds = Float64Array;

/**
 * The tightest bounds at a strain; null when no place fits.
 * @param tips where each tip may stand
 * @param extra mm added to the widest opening of every pair
 */
export function boundsAt(
  tips: readonly Interval[],
  pairs: readonly PairBound[],
  strain: number,
  extra = 0,
): OpeningBounds | null {
  const size = (tips.length + 1) ** 2;
  return hasRoom(tips, pairs, strain, extra) ? scratch.slice(0, size) : null;
}

/** Refilled at every question: five tips and the keyboard's zero at most. */
const scratch = new Float64Array(36);

/** Whether every tip finds a place at a strain. */
export function hasRoom(tips: readonly Interval[], pairs: readonly PairBound[], strain: number, extra = 0): boolean {
  const n = tips.length + 1;
  scratch.fill(Infinity, 0, n * n);
  for (let i = 0; i < n; i++) scratch[i * n + i] = 0;
  for (let i = 0; i < tips.length; i++) {
    scratch[i + 1] = tips[i]!.most;
    scratch[(i + 1) * n] = -tips[i]!.least;
  }
  for (const { low, high, limits } of pairs) {
    const [from, to] = [low + 1, high + 1];
    scratch[from * n + to] = widestAt(limits, strain) + extra;
    scratch[to * n + from] = -leastAt(limits, strain);
  }
  tighten(n);
  for (let i = 0; i < n; i++) if (scratch[i * n + i]! < -1e-9) return false;
  return true;
}

/** Shortest paths between all nodes. */
function tighten(n: number): void {
  for (let k = 0; k < n; k++) {
    for (let i = 0; i < n; i++) {
      const through = scratch[i * n + k]!;
      if (through === Infinity) continue;
      for (let j = 0; j < n; j++) {
        const sum = through + scratch[k * n + j]!;
        if (sum < scratch[i * n + j]!) scratch[i * n + j] = sum;
      }
    }
  }
}

/** A place for every tip inside the bounds, each as near as may be to where it would like to stand. */
export function placeWithin(bounds: OpeningBounds, wishes: readonly number[]): readonly number[] {
  const n = wishes.length + 1;
  const placed: number[] = [];
  wishes.forEach((wish, i) => {
    const at = i + 1;
    let [least, most] = [-bounds[at * n]!, bounds[at]!];
    placed.forEach((x, j) => {
      most = Math.min(most, x + bounds[(j + 1) * n + at]!);
      least = Math.max(least, x - bounds[at * n + j + 1]!);
    });
    placed.push(Math.min(most, Math.max(least, wish)));
  });
  return placed;
}

/** Strain is found to within this. */
const STRAIN_STEP = 1e-3;

/** The least strain at which all tips find a place, up to a limit; Infinity when there is none. */
export function leastStrain(tips: readonly Interval[], pairs: readonly PairBound[], upTo: number): number {
  if (hasRoom(tips, pairs, 0)) return 0;
  const top = Math.min(100, upTo);
  if (top < 0 || !hasRoom(tips, pairs, top)) return Infinity;
  let [no, yes] = [0, top];
  while (yes - no > STRAIN_STEP) {
    const middle = (no + yes) / 2;
    if (hasRoom(tips, pairs, middle)) yes = middle;
    else no = middle;
  }
  return yes;
}
