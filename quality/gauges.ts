import type { Weights } from "@/core/fingering/cost/weights";
import { RANGES } from "./ranges";

/** One number among the weights that calibration may move. */
export interface Gauge {
  readonly name: keyof Weights;
  /** Place in a list of weights by finger; null for a single one. */
  readonly place: number | null;
  readonly least: number;
  readonly most: number;
  of(weights: Weights): number;
}

function gauge(name: keyof Weights, place: number | null): Gauge {
  const [least, most] = RANGES[name]!;
  return {
    name,
    place,
    least,
    most,
    of: (weights) => (place === null ? weights[name] : (weights[name] as readonly number[])[place]) as number,
  };
}

/** Every number that calibration may move. */
export const GAUGES: readonly Gauge[] = Object.keys(RANGES).flatMap((key) => {
  const name = key as keyof Weights;
  return name === "weakFinger" ? [gauge(name, 3), gauge(name, 4)] : [gauge(name, null)];
});

/** The weights with one number times a factor. */
export function geared(weights: Weights, { name, place, of }: Gauge, factor: number): Weights {
  const value = of(weights) * factor;
  if (place === null) return { ...weights, [name]: value };
  return { ...weights, [name]: (weights[name] as readonly number[]).map((v, i) => (i === place ? value : v)) };
}
