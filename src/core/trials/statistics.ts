/** Sums over samples. Every function says what it gives for none. */

/** The mean; 0 of none. */
export function meanOf(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** The middle one, or the mean of the middle two; 0 of none. */
export function medianOf(values: readonly number[]): number {
  if (values.length === 0) return 0;
  const sorted = Float64Array.from(values).sort();
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** The standard deviation of a sample; 0 of fewer than two. */
export function spreadOf(values: readonly number[]): number {
  if (values.length < 2) return 0;
  const mean = meanOf(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1));
}

/** A straight line y = from + slope x. */
export interface Line2 {
  readonly from: number;
  readonly slope: number;
}

/** The line of least squares; level where all x are the same, and at 0 of none. @param weight of each point, 0 or more */
export function lineThrough(points: readonly (readonly [x: number, y: number, weight?: number])[]): Line2 {
  let [w, wx, wy, wxx, wxy] = [0, 0, 0, 0, 0];
  for (const [x, y, weight = 1] of points) {
    w += weight;
    wx += weight * x;
    wy += weight * y;
    wxx += weight * x * x;
    wxy += weight * x * y;
  }
  if (w === 0) return { from: 0, slope: 0 };
  const spread = wxx - (wx * wx) / w;
  const slope = spread <= 1e-12 ? 0 : (wxy - (wx * wy) / w) / spread;
  return { from: (wy - slope * wx) / w, slope };
}

/** Ranks from 1, equal values sharing the mean of theirs. */
function ranksOf(values: readonly number[]): readonly number[] {
  const order = values.map((_, i) => i).sort((a, b) => values[a]! - values[b]!);
  const ranks = new Array<number>(values.length);
  for (let i = 0; i < order.length;) {
    let end = i + 1;
    while (end < order.length && values[order[end]!] === values[order[i]!]) end++;
    for (let k = i; k < end; k++) ranks[order[k]!] = (i + end + 1) / 2;
    i = end;
  }
  return ranks;
}

/** Spearman's rank correlation, -1 to 1; null for fewer than three, or where one side is all the same. @throws RangeError for lists of two lengths */
export function rankCorrelation(a: readonly number[], b: readonly number[]): number | null {
  return correlation(ranksOf(a), ranksOf(b));
}

/** Pearson's correlation, -1 to 1; null for fewer than three, or where one side is all the same. @throws RangeError for lists of two lengths */
export function correlation(x: readonly number[], y: readonly number[]): number | null {
  if (x.length !== y.length) throw new RangeError("Two lists of one length are correlated.");
  if (x.length < 3) return null;
  const [mx, my] = [meanOf(x), meanOf(y)];
  let [xy, xx, yy] = [0, 0, 0];
  x.forEach((one, i) => {
    xy += (one - mx) * (y[i]! - my);
    xx += (one - mx) ** 2;
    yy += (y[i]! - my) ** 2;
  });
  return xx === 0 || yy === 0 ? null : xy / Math.sqrt(xx * yy);
}

/** A robust slope with the interval it lies in, nineteen times of twenty. */
export interface Slope {
  readonly slope: number;
  readonly interval: readonly [least: number, most: number];
  /** Whether it rises beyond chance, by the same nineteen of twenty: many equal values hide that from the interval. */
  readonly rises: boolean;
}

/**
 * The middle one of the slopes between all pairs of points, and its interval from the rank of Kendall's tau (Sen, 1968); it
 * rises where Mann's test says so, its variance less for equal values (Kendall, Rank Correlation Methods, 1970). 0 and
 * without bounds where no two points differ in x.
 */
export function slopeOf(points: readonly (readonly [x: number, y: number])[]): Slope {
  const slopes = points
    .flatMap(([x, y], i) => points.slice(i + 1).flatMap(([u, v]) => (u === x ? [] : [(v - y) / (u - x)])))
    .sort((a, b) => a - b);
  const n = points.length;
  if (slopes.length === 0) return { slope: 0, interval: [-Infinity, Infinity], rises: false };
  const error = 1.96 * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const [low, high] = [Math.floor((slopes.length - error) / 2) - 1, Math.ceil((slopes.length + error) / 2)];
  return {
    slope: medianOf(slopes),
    interval: [slopes[low] ?? -Infinity, slopes[high] ?? Infinity],
    rises: risesIn(points),
  };
}

function risesIn(points: readonly (readonly [x: number, y: number])[]): boolean {
  const sum = points
    .flatMap(([x, y], i) => points.slice(i + 1).map(([u, v]) => Math.sign((v - y) * (u - x))))
    .reduce((all, one) => all + one, 0);
  const chance = (n: number): number => n * (n - 1) * (2 * n + 5);
  const equal = new Map<number, number>();
  for (const [, y] of points) equal.set(y, (equal.get(y) ?? 0) + 1);
  const ties = [...equal.values()].reduce((all, n) => all + chance(n), 0);
  return sum > 1.96 * Math.sqrt((chance(points.length) - ties) / 18);
}
