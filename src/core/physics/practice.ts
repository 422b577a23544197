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
