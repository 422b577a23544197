/** The figures of an old clockwork metronome: by twos to 60, by threes to 72, by fours to 120, by sixes to 144, by eights to 208. */
const steps = (from: number, to: number, by: number): number[] =>
  Array.from({ length: (to - from) / by }, (_, i) => from + i * by);
export const CLOCKWORK: readonly number[] = [
  ...steps(40, 60, 2),
  ...steps(60, 72, 3),
  ...steps(72, 120, 4),
  ...steps(120, 144, 6),
  ...steps(144, 208, 8),
  208,
];

/** The ladder of tempi. Choices. */
export const LADDER = {
  /** Takes that were not clean and easy before it goes down. */
  missesDown: 2,
  /** Beats a minute of a notch, and the share of one. */
  fiveBeats: 5,
  share: 0.04,
  /** Quarter notes to a click, the plainest first. */
  quartersToAClick: [1, 0.5, 2, 0.25, 4],
  /** Share of the breaking tempo up to which a day is sensible. */
  sensible: 0.98,
  /** Share of the target at which a ladder begins where nothing was clean and easy yet. */
  begins: 0.5,
  /** Share of the target gained a practice day, until the player's own gain is known. A starting value. */
  usualGain: 0.01,
} as const;

/** The count: plays after which it is given up to say how many it will take, and what is called probable. Choices. */
export const COUNT = { most: 2000, probable: 0.9 } as const;

/** Drills that are offered at once. */
export const DRILLS_OFFERED = 3;

/** Tension felt in a place, as a share of the most there is, from which it is named. A choice. */
export const TENSE_FROM = 0.3;

/** Sizes of drills, in onsets unless said otherwise. Choices. */
export const DRILL = {
  /** On either side of a join that is played alone. */
  aboutJoin: 2,
  /** Before and after the silence in which the hand goes to its next place, and quarter notes of that silence. */
  beforeStop: 4,
  afterStop: 4,
  stopQuarters: 2,
  bursts: [2, 3, 4, 6, 10],
  /** Of a group that overlaps the next, and by how many. */
  overlapping: 5,
  overlap: 2,
  /** That are added each time from the end. */
  fromTheEnd: 4,
  /** Group sizes against the beat. */
  againstBeat: [3, 5, 7],
  /** Octaves to the side. */
  octavesAside: [1, 2],
  /** Octaves that a figure travels with the trunk. */
  trunkOctaves: 4,
  /** Chords that are loosened finger by finger, those that open widest. */
  loosened: 3,
  /** Share of its length for which a chord sounds before the hand closes, and for which a carried group's last note does. */
  closesAfter: 0.5,
  carriedAfter: 0.5,
  /** Quarter notes of each note of a warm-up. */
  warmNote: 0.5,
  /** Share of the target tempo of a warm-up. */
  warmTempo: 0.5,
} as const;

/** What is assumed of good plays before any was made. A choice. */
export const COUNT_BEFORE = { good: 2, all: 3 } as const;

/** Wide openings in a day, in mm beyond comfort times minutes, each hand apart. Choices; the limit is the player's own. */
export const DOSE = {
  /** Limit until the player has said their own: five minutes in all of keys held 6 mm beyond comfort, at middling loudness. */
  starting: 30,
  range: [1, 2000],
  /** Share of practice time in which keys are down. */
  playing: 0.6,
  /** A minute's playing from which a passage counts as wide, in mm. */
  wideFrom: 1,
} as const;

/** How much of the day's limits there is again so many days after a stop was lifted. Choices. */
export const RETURNING = [
  { days: 0, share: 0.25 },
  { days: 3, share: 0.5 },
  { days: 7, share: 0.75 },
  { days: 14, share: 1 },
] as const;

/** The plan of a day. Minutes and choices throughout. */
export const DAY_PLAN = {
  block: 10,
  /** A block that is shortened is no shorter. */
  shortest: 3,
  run: 15,
  check: 1,
  warm: 8,
  warmCold: 12,
  /** Before the first wide opening of the day. */
  beforeWide: 15,
  beforeWideCold: 20,
  /** Blocks after which there is a rest, and how long it is. */
  restAfter: 3,
  rest: 5,
  /** Blocks of a day at most, and minutes that a player can give it. */
  mostBlocks: 12,
  range: [10, 360],
  /** Minutes of each weekday, Monday first, until the player has said theirs. */
  week: [60, 60, 60, 60, 60, 60, 60],
  /** Passages that a day is chosen from: those that want it most. */
  mostPassages: 16,
  /** Worth of a second block of one passage, as a share of the first. */
  secondShare: 0.45,
  /** Worth of a block by the passage's state. */
  worth: { undecided: 6, learning: 5, securing: 4, keeping: 2 },
  /** What a concert adds at most, as a share, and days over which it falls to a third of that. */
  concert: 2,
  concertDays: 14,
  /** What a verdict or a trial that is due adds, and how many days before its day. */
  due: 8,
  dueWithin: 3,
  /** Days from which a concert is named among the reasons. */
  concertNamed: 42,
  /** What a trial of the options that is due today adds. */
  trial: 3,
  /** What was left over from the day before adds. */
  leftOver: 1,
  /** Days until a passage comes back at first, doubled each time it held up, and at most. */
  returnFirst: 1,
  returnMost: 14,
  /** Share of its worth that a passage has at least, and at most, by how long it was left. */
  returnShare: [0.25, 1.6],
  /** Share of its worth that a block keeps by one place later in the day. */
  later: 0.97,
  /** What two blocks of one passage in a row cost the order. */
  inARow: 1000,
} as const;

/** Runs through a whole piece. Days before its concert from which they are planned, how often, and their worth. Choices. */
export const RUN = { from: 21, every: 4, lastDays: 7, everyAtLast: 2, notWithin: 1, worth: 7 } as const;

/** How well a passage is known: shares of the target tempo at which it is clean, and days for which that counts. Choices. */
export const KNOWN = { securing: 0.8, keeping: 0.97, days: 14 } as const;
