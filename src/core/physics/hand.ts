/** The hand. */
export const HAND = {
  /** mm by which the opening between contact centres is less than the span on a ruler. Starting value. */
  rulerToKeySpan: 18,
  /** mm, ruler spans outside this are refused: no adult hand has them. */
  rulerSpanRange: [130, 290],
  /** Shares of the published widest opening of a pair outside which an opening is refused. A choice, wide. */
  pairRange: [0.25, 1.5],
  /** mm, openings outside this are no pair's at all. */
  openingRange: [5, 320],
  /** mm, distances behind the foremost tip outside this are refused. */
  behindRange: [0, 120],
  /** Turns of the forearm a second, outside which a figure is refused. A choice, wide. */
  turnsRange: [0.5, 8],
  /** mm, a middle hand on a ruler, used where nothing is measured. */
  middleRulerSpan: 205,
  /** Semitones, widest practical 1-5 opening of the hand that the published proportions describe. */
  publishedWidest: 15,
  /** mm a semitone stands for in the published proportions: an octave of 164.5 mm in twelve. */
  publishedSemitone: 164.5 / 12,
  /** mm, least width of a ramp between two limits that coincide. Starting value. */
  leastRamp: 12,
  /** mm each fingertip lies behind the foremost (the third), hand flat, thumb first. Starting values. */
  behindForemost: [65, 10, 0, 8, 35],
  /** mm from the foremost fingertip back to the wrist, in the published hand. Starting value. */
  tipToWrist: 165,
  /** Share of that distance which remains when the fingers are naturally curved. Starting value. */
  naturalCurve: 0.5,
} as const;

/** How a hand is drawn where nothing says how it lies. Starting values, after a full-grown published hand. */
export const DRAWN_HAND = {
  /** mm from the foremost tip back to the knuckles, and to the joint of the thumb. */
  knuckles: 82,
  thumbBase: 118,
  /** mm by which knuckles lie farther back for each finger away from the third. */
  knuckleArch: 4,
  /** mm from one knuckle to the next. */
  knuckleStep: 19,
  /** Knuckle steps from the middle of the wrist to the joint of the thumb, and to the knuckle of the third finger. */
  thumbJoint: -1.9,
  thirdKnuckle: -0.3,
  /** mm by which the middle of the wrist lies to the thumb's side of the hand's own line. */
  wristAside: 6,
  /** mm that loose fingers keep from those that play, for each finger between. */
  looseApart: 12,
} as const;

/** Fractions by which an estimated opening may be off. All choices, after the spread between published hands. */
export const ESTIMATE = {
  /** Where the pair's other figure was measured. */
  ownDoubt: 0.06,
  /** Where other pairs were; half the spread of their ratios is added. */
  otherDoubt: 0.08,
  /** Where nothing was: two standard deviations of adult spans. */
  nothingDoubt: 0.14,
} as const;
