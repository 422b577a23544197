/** Movement. */
export const MOTION = {
  /** ms, intercept of Fitts' law in Shannon's form, for a practised player. Starting value. */
  fittsIntercept: 50,
  /** ms per bit. Starting value. */
  fittsSlope: 25,
  /** mm, least target width. */
  fittsLeastWidth: 10,
  /** mm the hand may stand too far in or out without travelling: fingers curl and stretch by it. Starting value. */
  freeDepth: 35,
  /** Hz, full cycles of forearm alternation that go with ease, and at which they fail. */
  rotationEase: 3,
  rotationFails: 6.5,
  /** Hz, strokes of one finger that go with ease, thumb first. Starting values. */
  repeatEase: [4, 4.2, 4, 3.4, 3.2],
  /** ms from one finger's stroke to the next in a rolled chord that lies under the hand. Starting value. */
  rollStep: 45,
  /** Notes a second that one hand plays with ease; beyond, crowded fingers tangle. Starting value. */
  easyRate: 7,
  /** ms that a held note must still sound for a change of finger on it to be worth making. A choice. */
  changeLeastMs: 150,
  /** ms a hand needs to close after a wide opening. Starting value. */
  closeMs: 60,
  /** Share of a note's length that a detached one sounds. A choice. */
  detachedShare: 0.5,
  /** Load that an accent adds, on the scale of 0 to 1. A choice. */
  accentLoad: 0.2,
  /** White keys from one note to the next that make an arpeggio wide enough to carry the hand across. A choice. */
  carriedFrom: 2,
  /** mm a naturally curved finger is lifted over keys it does not play; none is left at its widest. Starting value. */
  lift: 20,
  /** mm of clearance below which a neighbour key is at risk. Starting value. */
  safeClearance: 3,
  /** ms a grace note takes before the note it leans on. Starting value. */
  graceMs: 80,
  /** Quarter notes for which a note sounds when its own length says nothing, as of a grace note. A choice. */
  graceQuarters: 0.5,
  /** White keys by which the thumb passes at most, as in arpeggios, and long fingers cross: farther apart the hand has moved. Choices. */
  thumbPasses: 4,
  longFingersCross: 2,
} as const;
