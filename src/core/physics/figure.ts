/** What counts as a figure that returns. All choices but the widest step. */
export const FIGURE = {
  /** Fewest onsets that make one. */
  leastOnsets: 4,
  /** The same where it returns on the same keys or by octaves, and no longer figure is there. */
  leastOnsetsAlike: 3,
  /** The same where some of them are changed. */
  leastOnsetsChanged: 6,
  /** Semitones, the widest step of a scale, as between the sixth and seventh of a harmonic minor one. */
  widestStep: 3,
  /** Part of its worth that a return keeps when it is not unchanged, 0 to 1. */
  changedWorth: 0.8,
  /** Onsets to either side of a return that may give way when it is asked what keeping costs. */
  givesWay: 3,
  /** What a return is worth beside one on the same keys or by octaves, 0 to 1: by how, what can be remembered of it. */
  worth: { exact: 1, octave: 1, chromatic: 0.9, diatonic: 0.8, mirrored: 0.7, inverted: 0.5 },
  /** Share of the keys of a sequence that must keep their colour for it to feel the same at all. */
  alikeFrom: 0.5,
  /** What a time of a sequence is worth to a later one that does not follow it at once, beside one that does. A choice. */
  worthFartherOn: 0.5,
  /** Of so many onsets at most one may be changed. */
  onsetsAChange: 4,
  /** Fewest onsets up or down that a line goes back over, key by key, for that to be remembered; and what that is worth beside a return on the same keys. */
  leastWayBack: 5,
  worthOfWayBack: 0.5,
  /** The same where those lie under one hand, as a chord broken up and down. */
  leastTurn: 2,
  /** Fewest strokes of one key running for the fingers to take turns alike where as many follow; and what that is worth where two keys are struck twice and no more. */
  leastStruckAgain: 2,
  worthOfTwoTwice: 0.33,
  /** Fewest wide intervals broken one after another that are one shape moved along. A choice. */
  leastWidePairs: 3,
  /** What it is worth that a chord carried on by steps keeps its fingers, beside a return on the same keys. A choice. */
  worthOfParallel: 0.2,
  /** Fewest keys of a whole chord that are struck one by one beside it for it to be broken. A choice. */
  leastBroken: 2,
  /** Notes at least of a return that go as in its figure for these to keep their fingers. A choice. */
  leastBound: 2,
  /** Strain, a note, within which fingerings count as straining alike: then that is taken whose figures keep their fingers. */
  settles: 0.001,
} as const;

/** Where a hand stays. All choices. */
export const STAY = {
  /** Different keys at least and at most: as many as there are fingers. */
  leastKeys: 2,
  mostKeys: 5,
  /** Strokes for each of them, on the mean, from which on they are put under the hand as a chord is. */
  strokesAKey: 3,
  /** The same for five keys that lie under five fingers as they rest, and the white keys' widths within which those lie: a fifth. */
  strokesAKeyOfFive: 1.4,
  fiveKeysWithin: 4.5,
  /** What five keys are worth, one for each finger, beside fewer: where each finger has its key none is taken for another. */
  worthOfFive: 3,
  /** Times as much that a stay is worth on a figure that is moved along: its fingers are learnt as one shape. */
  worthAlong: 3,
  /** Keys at least of a pattern, or of a figure that is moved along; and, if none of these is struck again, the white keys' widths within which they lie: a sixth. */
  leastKeysOfChord: 3,
  chordWithin: 5.5,
  /** Onsets at most of an order of keys that is struck again at once, and at least where it is on other keys. */
  longestTurn: 16,
  leastOnOthers: 4,
  /** Semitones within which such an order lies in which each key is struck once and the line turns: an octave. */
  turnWithin: 12,
  /** Onsets within which it must have shown itself. */
  shownWithin: 64,
} as const;
