/** Which findings are told of a note at once; the rest are folded. Choices. */
export const TOLD = {
  /** How many at most, and from what strain on. */
  most: 3,
  least: 2,
  /** Two fingerings held against one another: causes named on each side, and the change of the mean strain worth a sentence. */
  causesCompared: 2,
  leastChange: 0.01,
  /** What would lower a note: how many ways at most, from what gain on, and for at most how many times the gain elsewhere. */
  waysToLower: 3,
  leastLowered: 0.5,
  dearestLowered: 2,
  /** Onsets of agreement that part one piece of advice from the next: nearer ones depend on one another. */
  adviceApart: 2,
} as const;
