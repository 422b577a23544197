import { BREAKING } from "../physics";
import { meanOf, spreadOf } from "./statistics";

/** A take as its tempo and whether it was clean. */
export interface Tried {
  /** Quarter notes a minute, as reached or as meant. */
  readonly tempo: number;
  readonly clean: boolean;
}

export type Breaking =
  /** So many more takes are wanted before anything is said. */
  | { readonly kind: "too few"; readonly more: number }
  /** Faster was no worse, as far as was tried. */
  | { readonly kind: "none" }
  | {
      readonly kind: "found";
      /** Quarter notes a minute at which every second take is clean, with the interval it lies in, nineteen times of twenty. */
      readonly tempo: number;
      readonly interval: readonly [least: number, most: number];
      /** Whether the trouble only appears above a certain speed: slower, nearly all takes are clean. */
      readonly onlyAbove: boolean;
    };

/** Twice the standard error either way, nineteen times of twenty. */
const TWO_SIDED = 1.96;

/**
 * The tempo at which it breaks: a logistic curve of clean against the logarithm of the tempo, where it crosses one half. Fitted
 * by Newton's method to the greatest posterior, with weak priors that keep it finite where slow takes are all clean and fast
 * ones none (Gelman, Jakulin, Pittau and Su, Annals of Applied Statistics 2(4), 2008, with normal priors); the interval by the
 * delta method from the curvature there.
 */
export function breakingOf(takes: readonly Tried[]): Breaking {
  if (takes.length < BREAKING.leastTakes) return { kind: "too few", more: BREAKING.leastTakes - takes.length };
  const logs = takes.map(({ tempo }) => Math.log(tempo));
  const [middle, spread] = [meanOf(logs), spreadOf(logs)];
  if (spread < BREAKING.leastSpread) return { kind: "none" };
  const fit = fitted(
    logs.map((log) => (log - middle) / (2 * spread)),
    takes.map(({ clean }) => clean),
  );
  if (fit.slope >= -BREAKING.leastSlope) return { kind: "none" };
  const at = -fit.from / fit.slope;
  // d at / d from = -1 / slope; d at / d slope = from / slope^2.
  const [df, ds] = [-1 / fit.slope, fit.from / fit.slope ** 2];
  const error = Math.sqrt(df * df * fit.covariance[0] + 2 * df * ds * fit.covariance[1] + ds * ds * fit.covariance[2]);
  const tempoAt = (x: number): number => Math.exp(middle + 2 * spread * x);
  const slow = takes.filter(({ tempo }) => tempo < tempoAt(at) * BREAKING.wellBelow);
  return {
    kind: "found",
    tempo: tempoAt(at),
    interval: [tempoAt(at - TWO_SIDED * error), tempoAt(at + TWO_SIDED * error)],
    onlyAbove: slow.length >= BREAKING.leastSlow && share(slow) >= BREAKING.cleanBelow,
  };
}

function share(takes: readonly Tried[]): number {
  return takes.filter(({ clean }) => clean).length / Math.max(1, takes.length);
}

interface Fit {
  readonly from: number;
  readonly slope: number;
  /** Of from, of both, of slope. */
  readonly covariance: readonly [number, number, number];
}

/** Newton's method on the log posterior, which is concave: it has one greatest value. */
function fitted(x: readonly number[], clean: readonly boolean[]): Fit {
  const [priorFrom, priorSlope] = BREAKING.priors.map((scale) => 1 / scale ** 2) as [number, number];
  let [from, slope] = [0, 0];
  let [a, b, c] = [1, 0, 1];
  for (let step = 0; step < BREAKING.mostSteps; step++) {
    let [gf, gs] = [-priorFrom * from, -priorSlope * slope];
    [a, b, c] = [priorFrom, 0, priorSlope];
    x.forEach((at, i) => {
      const p = 1 / (1 + Math.exp(-(from + slope * at)));
      const off = (clean[i] ? 1 : 0) - p;
      gf += off;
      gs += off * at;
      a += p * (1 - p);
      b += p * (1 - p) * at;
      c += p * (1 - p) * at * at;
    });
    const of = a * c - b * b;
    const [df, ds] = [(c * gf - b * gs) / of, (a * gs - b * gf) / of];
    from += df;
    slope += ds;
    if (Math.abs(df) + Math.abs(ds) < 1e-10) break;
  }
  const of = a * c - b * b;
  return { from, slope, covariance: [c / of, -b / of, a / of] };
}

/** A tempo at which it breaks, in a sentence. */
export function sayBreaking(breaking: Breaking): string {
  if (breaking.kind === "too few") return `${breaking.more} more takes tell at which tempo it breaks.`;
  if (breaking.kind === "none") return "No tempo is found at which it breaks.";
  const [least, most] = breaking.interval.map(Math.round);
  const where = `It breaks at ♩ = ${Math.round(breaking.tempo)} (${least} to ${most}).`;
  return breaking.onlyAbove ? `${where} The trouble only appears above that speed.` : where;
}
