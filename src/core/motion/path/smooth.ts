/**
 * The smoothest way of one coordinate through time, exactly. A way is a cubic on each interval between knots, given by
 * its value x and its speed v at every knot; of all of them is wanted the one that minimises
 *
 *   sum over intervals of  s^3 * (integral of acceleration squared) + shorten * s * (integral of speed squared)
 *     +  sum over knots of  w d^2 + pull (x - ease)^2
 *
 * with least <= x <= most at every knot, d being how far x lies outside the stretch of ease. On an interval of length h from (x0, v0) to (x1, v1), with d = x1 - x0, the
 * integral is 12 d^2/h^3 - 12 d (v0 + v1)/h^2 + 4 (v0^2 + v0 v1 + v1^2)/h (the cubic of
 * Hermite, integrated), and of its speed 6/5 d^2/h - d (v0 + v1)/5 + h (2 v0^2 - v0 v1 + 2 v1^2)/15. s is the
 * time over which the way is smoothed there; with s^3 and s before them, all sums are in the square of the coordinate's unit.
 *
 * The problem is convex with bounds alone, its matrix in blocks of two about the diagonal: projected Newton steps, each
 * a block elimination in time that grows with the knots (Bertsekas, "Projected Newton methods for optimization problems
 * with simple constraints", SIAM J. Control Optim. 20(2), 1982). smooth.test.ts holds the answer against its conditions
 * of optimality and against a slow descent.
 */
export interface Knot {
  /** ms, rising from knot to knot. */
  readonly ms: number;
  /** Where it would lie best. */
  readonly ease: number;
  /** The stretch in which it lies as well: only outside it the weight counts. A point, ease itself, where not said. */
  readonly within?: { readonly least: number; readonly most: number };
  /** 0 or more; 0 where nothing is wanted. */
  readonly weight: number;
  /** How much it is drawn to where it would lie best, in the stretch and out of it; 0 where not said. */
  readonly pull?: number;
  readonly least: number;
  readonly most: number;
}

/** A coordinate at every knot, and its speed per ms. */
export interface Course {
  readonly ms: Float64Array;
  readonly x: Float64Array;
  readonly v: Float64Array;
}

const MOST_STEPS = 60;
/** In the coordinate's unit: steps smaller than this end the search. */
const ENOUGH = 1e-7;
/** Keeps speeds determined where one knot stands alone. */
const STILL = 1e-6;

/**
 * The smoothest course through knots in order of time, within the bounds of each.
 * @param smoothing ms over which the interval after each knot is smoothed; one fewer than there are knots
 * @param shorten what a long way costs beside a bent one, 0 or more
 */
export function smoothest(knots: readonly Knot[], smoothing: readonly number[], shorten = 0): Course {
  const n = knots.length;
  const way: Course = {
    ms: Float64Array.from(knots, (k) => k.ms),
    x: Float64Array.from(knots, (k) => clamp(k.ease, k)),
    v: new Float64Array(n),
  };
  const system = systemOf(n);
  for (let step = 0; step < MOST_STEPS; step++) {
    fill(system, knots, smoothing, shorten, way);
    const free = knots.map((k, i) => !isHeld(way.x[i]!, k, system.gx[i]!));
    eliminate(system, free);
    if (advance(knots, smoothing, shorten, way, system) < ENOUGH) break;
  }
  return way;
}

/** The value at a moment between the knots; before the first and after the last it stands still. */
export function valueAt({ ms, x, v }: Course, at: number): number {
  const n = ms.length;
  if (n === 0) return 0;
  if (at <= ms[0]!) return x[0]!;
  if (at >= ms[n - 1]!) return x[n - 1]!;
  let [low, high] = [0, n - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (ms[middle]! <= at) low = middle;
    else high = middle;
  }
  const h = ms[high]! - ms[low]!;
  const t = (at - ms[low]!) / h;
  const [t2, t3] = [t * t, t * t * t];
  return (
    (2 * t3 - 3 * t2 + 1) * x[low]! +
    (t3 - 2 * t2 + t) * h * v[low]! +
    (3 * t2 - 2 * t3) * x[high]! +
    (t3 - t2) * h * v[high]!
  );
}

/** What is minimised, for tests and for the length of a step. */
export function costOf(knots: readonly Knot[], smoothing: readonly number[], { x, v }: Course, shorten = 0): number {
  let sum = 0;
  knots.forEach((knot, i) => {
    const { ease, weight, pull = 0 } = knot;
    sum += weight * outside(knot, x[i]!) ** 2 + pull * (x[i]! - ease) ** 2 + STILL * v[i]! ** 2;
  });
  for (let i = 0; i + 1 < knots.length; i++) {
    const h = knots[i + 1]!.ms - knots[i]!.ms;
    const [d, v0, v1] = [x[i + 1]! - x[i]!, v[i]!, v[i + 1]!];
    const bent = (12 * d * d) / h ** 3 - (12 * d * (v0 + v1)) / h ** 2 + (4 * (v0 * v0 + v0 * v1 + v1 * v1)) / h;
    const long = (1.2 * d * d) / h - 0.2 * d * (v0 + v1) + (h * (2 * v0 * v0 - v0 * v1 + 2 * v1 * v1)) / 15;
    sum += smoothing[i]! ** 3 * bent + shorten * smoothing[i]! * long;
  }
  return sum;
}

/** Half the gradient and half the matrix of second derivatives: a block of two at each knot, and one towards the next. */
interface System {
  readonly gx: Float64Array;
  readonly gv: Float64Array;
  /** xx, xv, vv at each knot. */
  readonly diagonal: Float64Array;
  /** xx, xv, vx, vv of each knot with the next. */
  readonly beside: Float64Array;
  readonly dx: Float64Array;
  readonly dv: Float64Array;
}

function systemOf(n: number): System {
  const of = (size: number): Float64Array => new Float64Array(size);
  return { gx: of(n), gv: of(n), diagonal: of(3 * n), beside: of(4 * n), dx: of(n), dv: of(n) };
}

function fill(
  system: System,
  knots: readonly Knot[],
  smoothing: readonly number[],
  shorten: number,
  { x, v }: Course,
): void {
  const { gx, gv, diagonal: D, beside: B } = system;
  knots.forEach((knot, i) => {
    const { ease, weight, pull = 0 } = knot;
    const off = outside(knot, x[i]!);
    gx[i] = weight * off + pull * (x[i]! - ease);
    gv[i] = STILL * v[i]!;
    D[3 * i] = (off === 0 && knot.within ? 0 : weight) + pull;
    D[3 * i + 1] = 0;
    D[3 * i + 2] = STILL;
  });
  for (let i = 0; i + 1 < knots.length; i++) {
    const h = knots[i + 1]!.ms - knots[i]!.ms;
    const k = smoothing[i]! ** 3;
    const l = shorten * smoothing[i]!;
    // Of the values, of values with speeds, of a speed with itself and with the other.
    const a = (12 * k) / h ** 3 + (1.2 * l) / h;
    const b = (6 * k) / h ** 2 + 0.1 * l;
    const own = (4 * k) / h + (2 * l * h) / 15;
    const other = (2 * k) / h - (l * h) / 30;
    const [d, v0, v1] = [x[i + 1]! - x[i]!, v[i]!, v[i + 1]!];
    const pull = a * d - b * (v0 + v1);
    gx[i]! -= pull;
    gx[i + 1]! += pull;
    gv[i]! += own * v0 + other * v1 - b * d;
    gv[i + 1]! += other * v0 + own * v1 - b * d;
    D[3 * i]! += a;
    D[3 * i + 1]! += b;
    D[3 * i + 2]! += own;
    D[3 * i + 3]! += a;
    D[3 * i + 4]! -= b;
    D[3 * i + 5]! += own;
    B.set([-a, b, -b, other], 4 * i);
  }
}

/** A value at a bound that would leave it stays. */
function isHeld(x: number, { least, most }: Knot, slope: number): boolean {
  return (x <= least + 1e-9 && slope > 0) || (x >= most - 1e-9 && slope < 0);
}

/** Newton's step of the free values and all speeds, by elimination from first to last and back. */
function eliminate({ gx, gv, diagonal: D, beside: B, dx, dv }: System, free: readonly boolean[]): void {
  const n = free.length;
  for (let i = 0; i < n; i++) {
    dx[i] = -gx[i]!;
    dv[i] = -gv[i]!;
  }
  for (let i = 0; i < n; i++) {
    if (free[i]) continue;
    D[3 * i] = 1;
    D[3 * i + 1] = 0;
    dx[i] = 0;
    B[4 * i] = B[4 * i + 1] = 0;
    if (i > 0) B[4 * i - 4] = B[4 * i - 2] = 0;
  }
  for (let i = 0; i + 1 < n; i++) {
    const [a, b, c, d] = [B[4 * i]!, B[4 * i + 1]!, B[4 * i + 2]!, B[4 * i + 3]!];
    const [p, q, r] = inverse(D, i);
    // L = B^T D^-1, rows by the next knot's value and speed.
    const [l00, l01, l10, l11] = [a * p + c * q, a * q + c * r, b * p + d * q, b * q + d * r];
    D[3 * i + 3]! -= l00 * a + l01 * c;
    D[3 * i + 4]! -= l00 * b + l01 * d;
    D[3 * i + 5]! -= l10 * b + l11 * d;
    dx[i + 1]! -= l00 * dx[i]! + l01 * dv[i]!;
    dv[i + 1]! -= l10 * dx[i]! + l11 * dv[i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    let [x, v] = [dx[i]!, dv[i]!];
    if (i + 1 < n) {
      x -= B[4 * i]! * dx[i + 1]! + B[4 * i + 1]! * dv[i + 1]!;
      v -= B[4 * i + 2]! * dx[i + 1]! + B[4 * i + 3]! * dv[i + 1]!;
    }
    const [p, q, r] = inverse(D, i);
    dx[i] = p * x + q * v;
    dv[i] = q * x + r * v;
  }
}

function inverse(D: Float64Array, i: number): readonly [number, number, number] {
  const [p, q, r] = [D[3 * i]!, D[3 * i + 1]!, D[3 * i + 2]!];
  const of = p * r - q * q;
  return [r / of, -q / of, p / of];
}

/** Goes along the step, bent at the bounds, as far as it lowers the cost. @returns the largest change of a value */
function advance(
  knots: readonly Knot[],
  smoothing: readonly number[],
  shorten: number,
  way: Course,
  { dx, dv }: System,
): number {
  const before = costOf(knots, smoothing, way, shorten);
  const [x, v] = [way.x.slice(), way.v.slice()];
  for (let share = 1; share > 1e-4; share /= 2) {
    knots.forEach((k, i) => {
      way.x[i] = clamp(x[i]! + share * dx[i]!, k);
      way.v[i] = v[i]! + share * dv[i]!;
    });
    if (costOf(knots, smoothing, way, shorten) <= before + 1e-12)
      return way.x.reduce((most, now, i) => Math.max(most, Math.abs(now - x[i]!)), 0);
  }
  way.x.set(x);
  way.v.set(v);
  return 0;
}

/** How far a value lies outside the stretch of ease of its knot, with its sign. */
function outside({ ease, within }: Knot, x: number): number {
  return within ? x - clamp(x, within) : x - ease;
}

function clamp(value: number, { least, most }: Pick<Knot, "least" | "most">): number {
  return Math.min(most, Math.max(least, value));
}
