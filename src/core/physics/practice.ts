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
} as const;

/** The count: plays after which it is given up to say how many it will take, and what is called probable. Choices. */
export const COUNT = { most: 2000, probable: 0.9 } as const;

/** Drills that are offered at once. */
export const DRILLS_OFFERED = 3;

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
