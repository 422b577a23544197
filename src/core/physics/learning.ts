/** Days until a change of fingering is secure. Rough estimates, all choices; days of practice. */
export const LEARNING = {
  /** For any change, for every finger that is new, and for every join that is. */
  any: 2,
  digit: 0.12,
  join: 0.5,
  /** Times as long where old habits must be unlearnt. */
  unlearning: 1.5,
  /** Times as long before a concert, so that it is played for a while when it is secure. */
  margin: 2,
} as const;

/** Not deciding is the worst choice: learning cannot start. All are choices. */
export const DECIDING = {
  /** Share of the days left to the concert that may go into trying, and the days at least and at most. */
  share: 0.1,
  least: 2,
  most: 10,
  /** Days where no concert is set. */
  withoutConcert: 7,
  /** Days that are written out at most; later ones go on in the same way. */
  daysWritten: 14,
} as const;

/** Shares of the target tempo at which options are tried. Choices: slow to calculate, fast snips to check. */
export const TRIAL_TEMPI = { slow: 0.5, middle: 0.75, beyond: 1.06, met: 0.1 } as const;
