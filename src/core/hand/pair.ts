import { FINGERS, type Finger } from "./finger";

/** Two fingers of one hand, the one nearer the thumb first. */
export type Pair = readonly [Finger, Finger];
export type PairName = "1-2" | "1-3" | "1-4" | "1-5" | "2-3" | "2-4" | "2-5" | "3-4" | "3-5" | "4-5";

export const PAIRS: readonly Pair[] = FINGERS.flatMap((a) => FINGERS.filter((b) => b > a).map((b): Pair => [a, b]));

/** The name of two different fingers as a pair, thumb side first; in either order. */
export function pairName(a: Finger, b: Finger): PairName {
  return (a < b ? `${a}-${b}` : `${b}-${a}`) as PairName;
}
