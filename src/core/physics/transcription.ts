/** How keys are heard as music. All choices, tried on scores written out and on simulated playing. */
export const TRANSCRIPTION = {
  /** Two moments on one place of a grid. */
  sameMoment: 6,
  /** A place is doubtful where a moment lies so much of a part off it. */
  doubtfulOff: 0.35,
  /** Quarter notes by which the places of a score lie off: the rounding of a file's ticks. */
  exactOff: 0.006,
  /** Share of keys on places of a score from which a file is one. */
  exactShare: 0.85,
  /** ms by which a player lies off a beat, and what a beat costs against dividing a longer one. */
  spreadMs: 28,
  beatCost: 1.3,
  /** The beat of a file that is no score is taken unless one by ear is better by this factor. */
  earEarned: 1.25,
  /** ms within which keys are struck together. */
  togetherMs: 38,
  /** Quarter notes below which a bar cannot be told by ear. */
  leastForMetre: 6,
  /** How much an onset stands out for each of: a spread louder, a key more, twice as long, the lowest about it. */
  accent: { loud: 0.6, keys: 0.25, long: 0.5, low: 0.8 },
  /** What beats count for against first beats. */
  beatsHeard: 0.5,
  /** By so much an upbeat has to be better than none. */
  upbeatEarned: 0.1,
  /** ms a beat, least and most, from one that is tried to the next, and the usual one. */
  periods: [300, 1500],
  periodStep: 1.06,
  usualPeriod: 600,
  tempoPrior: 0.6,
  /** What a beat loses for a tempo that changes, for nothing being struck on it, and for each moment left out at the start. */
  unsteady: 40,
  emptyBeat: 0.9,
  skippedAtStart: 0.5,
  /** Share of a change that the tempo follows. */
  follows: 0.4,
  /** Onsets shared out between the hands at a time, how many of the last ones are looked at again, and ways kept. */
  onsetsShared: 40,
  onsetsRepeated: 6,
  waysKept: 40,
  /** Keys by register: a line passed to the other hand, hands too near, keys within reach without going, a free opening, and a wide one. */
  linePassed: 6,
  handsNear: 0.4,
  withinHand: 5,
  openFreely: 12,
  openWide: 2,
  /** What it costs a hand to take over a key that the other has by register, as a share of what that costs in a score. */
  takenByCost: 30,
  /** What a length that ends on no onset costs, the share of the way to the next that counts as all of it, and what is doubtful. */
  endsNowhere: 0.18,
  heldEnough: 0.45,
  doubtfulLength: 0.04,
  /** For each step on the line of fifths outside the key; for what sounds about; for a half step in a line written as no step. */
  outsideKey: 1,
  aboutWeight: 0.4,
  goalWeight: 3,
  /** In a first spelling: for each fifth from the middle of what sounds together, and for that middle going on by a fifth. */
  windowWeight: 1,
  windowMoved: 1,
  doubtfulSpelling: 0.35,
  /** Keys to either side, and quarter notes, that a spelling is heard by. */
  heardAbout: 12,
  heardFor: 4,
  /** A grace note is no longer than this, and is let go when the next is struck, so nearly. */
  graceMs: 110,
  graceQuarters: 0.2,
  boundMs: 25,
  /** ms from one stroke of a trill to the next at most. */
  trillMs: 130,
} as const;
