/** Movement. */
export const MOTION = {
  /** ms, intercept of Fitts' law in Shannon's form, for a practised player. Starting value. */
  fittsIntercept: 50,
  /**
   * ms per bit. Reciprocal tapping takes about 100 (Fitts, J. Exp. Psychology 47, 1954); a practised player sets the arm
   * going while the notes before still sound, so that a quarter of it falls between two onsets: that share is a choice.
   */
  fittsSlope: 25,
  /** mm, least target width. */
  fittsLeastWidth: 10,
  /** mm the hand may stand too far in or out without travelling: fingers curl and stretch by it. Starting value. */
  curl: 8,
  /** mm between two keys from which the forearm begins to turn between them, and at which it does so wholly. Choices. */
  forearmFrom: [30, 90],
  /** Hz, full cycles of forearm alternation that go with ease, and at which they fail. */
  rotationEase: 3,
  rotationFails: 6.5,
  /** ms from one onset to the next that count as usual: sixteenths at a walking pace; and the least and most that pace makes of a movement. Choices. */
  usualMs: 156,
  paceRange: [1 / 3, 3],
  /** Share of a change of position that is left where the thumb alone goes to another key, opening from a finger that plays between. A choice. */
  thumbByItself: 0.25,
  /**
   * mm over which these grow from nothing to whole: a change of position, the arm's part in two wide notes, a leap beyond reach, the
   * time to set off, how tight a pass is, and what leaving a key early costs where a pair is too far apart; and by which
   * the keys of a stay may lie farther apart than the hand spans. A choice.
   */
  rampMm: 20,
  /** mm from a thumb's note to its next, with one note between, from which that counts as a place for two notes, and at which it does so wholly. A choice. */
  twoNotesFrom: [40, 80],
  /** Share of what closing the hand to a note cost that is spared where it then moves: a little is paid twice, so that fingers keep beside one another. A choice. */
  closingCounts: 0.9,
  /** Share of the price of a broken line that is spared where no two fingers could join the notes. A choice. */
  leapAsked: 0.66,
  /** Share of it that is spared a held note, where the hand is down with three fingers or more neither before nor after, either, or both. A choice. */
  heldWhole: [0, 0.4, 0.7],
  /** Share of it that the thumb pays which glides on to a white key, and over how many semitones it does. Choices. */
  glide: 0.5,
  glidesOver: 2,
  /** Share of what a placement costs that is left where the hand, holding a note on, was as far open before. A choice. */
  staysOpen: 0.4,
  /** Share of the price of a broken line that is spared where several notes at once follow several. A choice. */
  setDownTogether: 0.4,
  /** Share of its price that a break keeps where the hand is set down anew on the next of broken chords in one order. A choice. */
  setDownAnew: 0.35,
  /** The same of a note that is held until then. A choice. */
  heldAnew: 0.7,
  /** Share of a stretch, pass or hop that is kept where fingers are free: they keep their order. A choice. */
  orderKept: 0.3,
  /** How little of a line there is to be broken between a single note and several, 0 to 1. A choice. */
  noteToSeveral: 0.5,
  /** Share of its price that an outer finger on black has where the music begins. A choice. */
  inAtFirst: 0.85,
  /** The same where the hand is set down on one key or on a chord, and may leave it at once: what is left of the first is paid if it plays on. A choice. */
  inWhenSetDown: 0.1,
  /** The same while the hand lies in. A choice. */
  liesIn: 0.15,
  /** The same for any black key where the two onsets before were on black keys alone: nothing draws the hand out. A choice. */
  liesInOnBlack: 0.35,
  /** Fewest keys of a chord, which the arm sets the hand down on as a whole. A choice. */
  wholeFrom: 3,
  /** Share of its price that an outer finger on black keeps in a chord: where the hand lies for that, its placement prices. A choice. */
  inWithChord: 0.03,
  /** The same where the hand lies over a group, or over a chord that is broken beside it. A choice. */
  inWithGroup: 0.15,
  /** Strokes a second of two fingers in turn that go with ease. Starting value. */
  alternationEase: 4,
  /** How little two fingers move apart from one another, 0 to 1: 3, 4 and 5 share tendons. Starting values, in the order of teaching practice; that the ring finger moves least by itself, and the thumb and the index most, is measured (Häger-Ross and Schieber, J. Neuroscience 20(22), 2000). */
  sharedTendon: {
    "12": 0.1,
    "13": 0.05,
    "14": 0.1,
    "15": 0.1,
    "23": 0,
    "24": 0.1,
    "25": 0.3,
    "34": 0.4,
    "35": 0.4,
    "45": 1,
  },
  /** Hz, strokes of the wrist with a whole chord that go with ease. Starting value. */
  wristEase: 5,
  /**
   * Hz, strokes of one finger that go with ease, thumb first. Starting values, about two thirds of the fastest; that 4 and 5
   * tap slower than 2 and 3 in pianists too is measured (Aoki, Furuya and Kinoshita, Motor Control 9(1), 2005).
   */
  repeatEase: [4.5, 4.7, 4.5, 4.2, 4.1],
  /** Times as fast that two strokes of a finger go with ease as more do: the hand rebounds once by itself. A choice. */
  rebound: 1.3,
  /** Times as fast as the quickest finger repeats with ease, from which fingers had better take turns: over two strokes, and over more. Choices. */
  takeTurns: { two: 1.6, more: 1.3 },
  /** How many times as wide as the hand lies at rest a step of a line is from which near fingers reach for it, and at which they do whole: about a fifth and a sixth. A choice. */
  wideStep: [1.2, 1.45],
  /** Share of a change of position that either end of a wide interval is spared where it is broken, for both make one move, by rolling the forearm. A choice. */
  endsSpare: 0.75,
  /** Half steps of a third. */
  thirds: [3, 4] as readonly number[],
  /** mm of a step from which on single notes are a broken chord, a little less than a minor third; and the share of the price of beginning it inside the hand that a line by steps has. Choices. */
  brokenFrom: 30,
  insideByStep: 0.13,
  /** How many times as dear another finger on a key is with one note between as at once, where fingers may be drawn over it. A choice. */
  otherAfterOne: 3,
  /** The same, beside at once, where the next of groups in one order begins between. A choice. */
  otherInNext: 0.7,
  /** Hz below what the quickest finger repeats with ease, over which fingers come to be drawn over a key in turn. A choice. */
  drawnRampHz: 1,
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
  /** White keys by which long fingers cross at most: farther apart the hand has moved. A choice. */
  longFingersCross: 2,
} as const;
