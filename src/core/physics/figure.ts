/** What counts as a figure that returns. All choices but the widest step. */
export const FIGURE = {
  /** Fewest onsets that make one. */
  leastOnsets: 4,
  /** Semitones, the widest step of a scale, as between the sixth and seventh of a harmonic minor one. */
  widestStep: 3,
  /** Part of its worth that a return keeps when it is not unchanged, 0 to 1. */
  changedWorth: 0.8,
  /** Of so many onsets at most one may be changed. */
  onsetsAChange: 4,
} as const;
