/** Which findings are told of a note at once; the rest are folded. Choices. */
export const TOLD = {
  /** How many at most, and from what strain on. */
  most: 3,
  least: 2,
} as const;
