/** Repeatable random numbers: the same seed, the same sequence (mulberry32). */
export interface Seeded {
  /** From 0 up to, but not, 1. */
  next(): number;
  /** A whole number from least to most, both included. */
  whole(least: number, most: number): number;
  pick<T>(from: readonly T[]): T;
  chance(share: number): boolean;
  /** About a middle, by a spread of one standard deviation (Box and Muller, 1958). */
  about(middle: number, spread: number): number;
}

/** @param seed any number; its lowest 32 bits count */
export function seeded(seed: number): Seeded {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const whole = (least: number, most: number): number => least + Math.floor(next() * (most - least + 1));
  const about = (middle: number, spread: number): number =>
    middle + spread * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  return { next, whole, pick: (from) => from[whole(0, from.length - 1)]!, chance: (share) => next() < share, about };
}
