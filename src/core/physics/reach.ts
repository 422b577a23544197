/** What each remedy loses of the music, on a scale of strain: remedies are put in order by it. All choices. */
export const REMEDY_LOSS = {
  /** The aim must be finer. */
  edges: 5,
  /** The firm tip is given up. */
  flat: 10,
  /** The weight is less even. */
  lean: 12,
  /** The other hand has more to do: for doing it at all, and for each note. */
  otherHand: 15,
  otherHandPerNote: 5,
  /** The finger's own legato. */
  shorter: 20,
  /** The chord's attack; and more downward, where a pedal change blurs it, where no pedal catches it, and per ms from first to last. */
  roll: 30,
  rollDownward: 4,
  rollBlurred: 10,
  rollNotCaught: 25,
  rollPerMs: 0.02,
  /** On an accent; and where the roll takes all the time there is, by the cube of its share of that. */
  rollAccented: 10,
  rollHurried: 60,
  /** A note's place in the sound: of the tune or the bass, and of any other. */
  foldOuter: 85,
  fold: 48,
  /** A note: of the tune or the bass, one that another octave doubles, and any other. */
  omitOuter: 90,
  omitDoubled: 40,
  omit: 55,
} as const;

/** How far a remedy is looked at with what surrounds it: onsets to either side that are worked out and priced anew. A choice. */
export const REMEDY_AROUND = 4;

/** When a piece as written is not for a hand. */
export const SURVEY = {
  /** Share of moments out of reach above which it is said. A choice. */
  tooMuch: 0.1,
  /** How many of the worst places are listed. */
  worst: 8,
  /** Strain that stands for a moment out of reach when places are put in order. A choice, above every strain. */
  beyond: 200,
} as const;
