/** Which alternatives are worth a pianist's time. All choices. */
export const OFFER = {
  /** What is shown strains at most so many times as much as the first in the mean, and a little more. */
  mostTimes: 1.5,
  mostMore: 3,
  /** Strain by which its worst note may exceed that of the first. */
  mostPeak: 25,
  /** Fewest notes that differ, and strain, summed over the passage, that some cause must fall by. */
  leastNotes: 3,
  leastGain: 3,
  /** Share of the places where the hand is set anew, and how many of them, that must lie elsewhere to be another idea. */
  elsewhere: 0.5,
  leastElsewhere: 2,
  /** By how much an idea must differ to be another: counts, widest opening in white keys, and notes of 4 and 5 in tenths. */
  ideaLeast: { positions: 1, passes: 1, breaks: 1, thumbOnBlack: 1, openings: 1, weakFingers: 3 },
  /** How much of a line at least must break for what returns to keep its fingers, 0 to 1, for that not to come first. */
  brokenLine: 0.5,
  /** Mean strains closer than this count as the same. */
  equal: 0.005,
  /** Places of the first, at most, at which the hand is asked to be set otherwise. */
  placesTried: 8,
} as const;
