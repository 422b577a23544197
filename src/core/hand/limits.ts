import { COMFORT } from "../physics";

/**
 * How far a pair of fingers closes and opens, in mm between contact centres, signed: positive in the
 * natural order of the fingers, negative when crossed. The six never decrease from first to last.
 */
export interface Limits {
  readonly leastPractical: number;
  readonly leastComfortable: number;
  readonly leastRelaxed: number;
  readonly widestRelaxed: number;
  readonly widestComfortable: number;
  readonly widestPractical: number;
}

/**
 * Strain of an opening beyond relaxed: 0 at relaxed, 50 at the comfortable limit, 100 at the widest,
 * straight between them and on at the last slope past the widest. The straight ramps are a choice; the
 * three points are the model's definition of strain.
 */
export function strainOfOpening(opening: number, limits: Limits): number {
  return ramp(opening, limits.widestRelaxed, limits.widestComfortable, limits.widestPractical);
}

/** Strain of fingers closed or crossed beyond relaxed, on the same scale, mirrored. */
export function strainOfClosing(opening: number, limits: Limits): number {
  return ramp(-opening, -limits.leastRelaxed, -limits.leastComfortable, -limits.leastPractical);
}

/** mm to which a pair opens at a strain from 0 to 100. */
export function widestAt({ widestRelaxed, widestComfortable, widestPractical }: Limits, strain: number): number {
  return strain <= COMFORT
    ? widestRelaxed + ((widestComfortable - widestRelaxed) * strain) / COMFORT
    : widestComfortable + ((widestPractical - widestComfortable) * (strain - COMFORT)) / COMFORT;
}

/** mm to which a pair closes at a strain from 0 to 100. */
export function leastAt({ leastRelaxed, leastComfortable, leastPractical }: Limits, strain: number): number {
  return strain <= COMFORT
    ? leastRelaxed + ((leastComfortable - leastRelaxed) * strain) / COMFORT
    : leastComfortable + ((leastPractical - leastComfortable) * (strain - COMFORT)) / COMFORT;
}

function ramp(at: number, relaxed: number, comfortable: number, widest: number): number {
  if (at <= relaxed) return 0;
  if (at <= comfortable) return (COMFORT * (at - relaxed)) / (comfortable - relaxed);
  return COMFORT + (COMFORT * (at - comfortable)) / (widest - comfortable);
}
