/**
 * Every physical constant of the model, once, with unit and source. Figures marked "starting value"
 * are to be calibrated against the standard fingerings and teaching practice; they are not truths.
 */

/** Dimensions of a full-size keyboard. Source: common piano dimensions; only x scales with the octave. */
export const KEYBOARD = {
  /** mm, seven white keys. */
  fullOctaveWidth: 164.5,
  /** mm, narrowest and widest octave an instrument may be given. */
  octaveWidthRange: [120, 180],
  /** mm, front edge to fallboard. */
  whiteLength: 150,
  /** mm from the white fronts to the front of the black keys. */
  blackStart: 50,
  /** mm of usable black top. */
  blackLength: 95,
  /** mm a black key stands above the white ones. */
  blackHeight: 12,
  /** mm, width of a black key's top, the same on every octave width. */
  blackTopWidth: 9.5,
  /** MIDI key numbers of the lowest A and the highest C of 88 keys. */
  lowestKey: 21,
  highestKey: 108,
} as const;

/** How a fingertip meets a key. */
export const CONTACT = {
  /** mm, diameter of the patch that must lie on the key. Starting value. */
  patch: 9,
  /** mm, usual width of a fingertip, thumb first. Starting values within 12 to 20, thumb to 25. */
  tipWidths: [20, 16, 16, 15, 14],
  /** mm, widths outside this are refused: of a thumb's tip and of any other. */
  thumbWidthRange: [10, 27],
  tipWidthRange: [9, 22],
  /** mm to either side of a key's middle that still count as its middle. A choice. */
  middleGive: 2,
  /** Share by which a white key is met towards the middle of its part between the black keys. A choice. */
  tailShare: 0.5,
  /** mm from the white fronts at which a finger usually meets a white key's head. Starting value. */
  whiteDepth: 25,
  /** mm from the white fronts at which a finger usually meets a black key. Starting value. */
  blackDepth: 65,
} as const;

/** How a hand may lie on keys. Everything here is a choice or a starting value, as said. */
export const PLACEMENT = {
  /**
   * Share of a pair's limits that each shape reaches: comfortable and widest, with the thumb and without.
   * Starting values; relaxed goes with comfortable.
   */
  shapes: {
    curled: { thumb: [0.75, 0.9], others: [0.65, 0.85] },
    natural: { thumb: [0.92, 0.97], others: [0.88, 0.95] },
    flat: { thumb: [1, 1], others: [1, 1] },
  },
  /** Strain of a shape for itself: flat fingers give up the firm tip. A choice. */
  shapeStrain: { curled: 0, natural: 0, flat: 3 },
  /** Share of the flat hand's differences in forward reach that each shape leaves. A choice. */
  reachDifference: { curled: 0.4, natural: 0.6, flat: 1 },
  /** mm a single tip may lie nearer or farther than at ease without strain, and at most. A choice. */
  freeUneven: 18,
  mostUneven: 45,
  /** mm more for the thumb, which lies low and sideways and pivots about its base. A choice. */
  thumbPivot: 10,
  /** Share that leaning to one side adds to the openings of pairs with 1 or 5, and its strain. A choice. */
  tiltGain: 0.03,
  tiltStrain: 3,
  /** Degrees that a leaning hand is turned, towards the little finger: the forearm has its room there. A choice. */
  leanDegrees: 12,
  /** Strain of an inner finger raised on a black key between outer ones on white, held upright. A choice. */
  raisedInner: 8,
  /** Degrees the wrist bends sideways with ease and at most, towards the little finger and towards the thumb. */
  deviationEase: [10, 5],
  deviationMost: [30, 15],
  /** Degrees between the deviations that are tried. */
  deviationStep: 2.5,
  /** Strain per mm that a key is played deeper than its usual contact: nearer its fulcrum it is heavier. A choice. */
  depthPerMm: 0.12,
  /** Share of the opening's strain that holding it adds, at most, and the ms after which it does. A choice. */
  heldGain: 0.3,
  heldMsFull: 4000,
  /** Share of the opening's strain that playing as loud as can be adds. A choice. */
  loadGain: 0.3,
} as const;

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
  /** mm, a middle hand on a ruler, used where nothing is measured. */
  middleRulerSpan: 205,
  /** Semitones, widest practical 1-5 opening of the hand that the published proportions describe. */
  publishedWidest: 15,
  /** mm a semitone stands for in the published proportions: an octave of 164.5 mm in twelve. */
  publishedSemitone: 164.5 / 12,
  /** mm, least width of a ramp between two limits that coincide. Starting value. */
  leastRamp: 5,
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
} as const;

/** How a hand moves from onset to onset. Everything here is a choice or a starting value, as said. */
export const PLAN = {
  /** ms over which a motion is smoothed at most: a choice, about the time of one movement of the arm. */
  smoothMs: 160,
  /** Share of the time from one place to the next over which it is smoothed at most, so that a place far ahead moves nothing now. A choice. */
  smoothShare: 0.4,
  /** The same where the hand has been let go and is carried: it lands where it is wanted. A choice. */
  carriedShare: 0.15,
  /** Strain of a placement at which leaving its ease weighs twice as much. A choice. */
  firmStrain: 15,
  /** Weight of lying at ease while keys only sound on, against 1 where they are struck. A choice. */
  restingWeight: 0.3,
  /** ms a held note must last before the hand leaves it for the way to be planned apart. A choice. */
  leaveLeast: 30,
  /** mm the middle finger moves sideways from its place in the hand, to either side. Starting value. */
  middleSideways: 14,
  /** Degrees the forearm turns for each finger that plays alone, thumb first, at most. Starting values. */
  rollOfFinger: [-8, -4, 0, 4, 8],
  /** Degrees of the forearm's turn at most, towards the thumb and towards the little finger. Joint range: palm down is near the end towards the thumb. */
  supinationMost: [15, 30],
  /** mm a tip is lifted over its key while the forearm turns; fingers near the keys need less turn. A choice. */
  nearKeys: 5,
  /** mm a key travels. */
  keyTravel: 10,
  /** mm the wrist stands over its level for each finger that plays, thumb first. Starting values. */
  heightOfFinger: [-5, -1, 0, 2, 4],
  /** mm it stands higher over a black key. A choice. */
  heightOnBlack: 4,
  /** mm it sinks at the start of a group and has risen at its end. A choice. */
  heightOfGroup: 4,
  /** mm under and over its level at most. A choice. */
  heightMost: [25, 30],
  /** mm within which a height counts as frozen, and the ms for which it may be. Choices. */
  frozenWithin: 2,
  frozenMs: 2500,
  /** mm from the hand's own middle at which fingers reach sideways. A choice. */
  sidewaysReach: 14,
  /** mm in or out from one note to the next below which nothing is a jerk. A choice. */
  jerkFrom: 15,
  /** mm a held note may draw the hand from where the others want it before it is named. A choice. */
  dragFrom: 12,
  /** mm from the middle of the body to a shoulder, and beside the body that an elbow needs. Starting values. */
  shoulder: 190,
  elbowRoom: 50,
  /** mm a wrist goes to either side of its shoulder before the trunk goes along. Starting value. */
  armAlone: 330,
  /** Key in front of which the body sits: between E and F over middle C. */
  bodyKey: 64.5,
  /** mm of a leap that wants looking at, and below which the next place is found unseen. Choices. */
  leapFrom: 120,
  unseenTo: 100,
  /** Notes a second of single notes that make a light run, and at which they are even beads. Choices. */
  lightRate: 5,
  beadRate: 6.5,
  /** Loudness from which chords come from the arm. A choice. */
  loudFrom: 0.65,
  /** ms from which a bound note sings. A choice. */
  singingMs: 350,
  /** Share of black keys from which the hand lies flat among them. A choice. */
  blackShare: 0.6,
  /** Strain that a shape chosen by the texture may add to the easiest one. A choice. */
  shapeGrace: 6,
  /** mm of clearance that a mm of wrist height gives a finger in the middle. Starting value. */
  clearancePerHeight: 0.4,
  /** mm by which the hand is moved to see what it gives. A choice: what a player would try. */
  nudge: 10,
  /** Strain that a mm of clearance counts for among small changes to try. A choice. */
  strainPerClearance: 1,
  /** ms within which two landings count as together. A choice. */
  together: 30,
  /** Degrees by which an angle is changed, and mm by which a height is, to see what they give. Choices. */
  angleTried: 8,
  heightTried: 8,
  /** Least mm of circle that is one. A choice. */
  circleLeast: 0.5,
  /** White keys that the middle of the hand is carried at once for a group to start anew. A choice. */
  groupCarried: 2.5,
  /** Times a note's usual length that make a rest. A choice. */
  groupRest: 1.8,
  /** ms from one onset to the next up to which a beat carries a group; slower, a bar does. A choice. */
  groupQuick: 260,
  /** mm across which a fingertip may land in and out: a target as wide as a white key. A choice. */
  landing: 23.5,
  /** Share of the time it asks for, under which a way in or out is a jerk. A choice. */
  jerkShare: 0.75,
  /** ms before and after a stroke in which a finger comes from where it rests and goes back there, at most. A choice. */
  approach: 120,
  /** ms for which a finger counts as active after it has struck. A choice. */
  active: 90,
  /** Fewest notes that rock: there, back, and there again. A choice. */
  rockingNotes: 4,
  /** Fewest notes that one turn carries, for it to be named. A choice. */
  turnNotes: 3,
  /** mm up or down from one onset to the next that are worth a sign. A choice. */
  heightWorthSign: 9,
  /** mm in or out from one onset to the next that are worth a sign. A choice. */
  inOutWorthSign: 25,
  /** ms without a window from which it is named. A choice. */
  keptOpenFrom: 2000,
  /** Loudness by which an onset must exceed the one before for a group to start anew. A choice. */
  groupLouder: 0.1,
  /** How far up its way the wrist is on the note after a group begins, and before it ends, as a share. A choice. */
  groupFlank: 0.5,
  /** Onsets to either side that the shape of the fingers is chosen by. A choice: far ahead nothing changes the hand now. */
  textureAbout: 2,
  /** Share of black keys from which fingers are not curled for an even run. A choice. */
  curledBlackShare: 1 / 3,
  /** Loudness under which chords are given by the weight of the arm alone. A choice. */
  softTo: 0.4,
  /** Share of the shortest time between strokes for which a finger is held down in a run. A choice. */
  heldShare: 0.9,
  /** Share of a finger's own turn that is left where its neighbours turn the forearm as well. A choice. */
  ownTurnShare: 0.25,
  /** ms for which the hand is planned on after the last onset. A choice. */
  lastMs: 2000,
  /** Least strain saved, and least mm of clearance won, for a small change to be told. Choices. */
  worthTrying: { strain: 0.05, clearance: 0.5 },
  /** Least mm of clearance that a way round a neighbour must gain to be told. A choice. */
  clearanceWorth: 0.1,
} as const;

/** How much each warning of the plan weighs, 0 to 100, so that the worst is told first. All choices. */
export const WARNING_WEIGHT = {
  /** Per degree in 100 ms, at most. */
  clash: { each: 100, most: 40 },
  /** Per mm, at most. */
  dragged: { each: 0.5, most: 40 },
  elbow: { each: 1 / 8, most: 30 },
  inFront: { each: 1 / 6, most: 35 },
  jerk: { each: 0.5, most: 50 },
  sideways: { each: 0.5, most: 40 },
  /** Per ms, at most. */
  keptOpen: { each: 0.01, most: 60 },
  short: { each: 1, most: 100, from: 5 },
  /** For both hands the same way, for opposite ways, and per mm. */
  leaps: { same: 15, opposite: 30, each: 1 / 40 },
  /** Per mm of clearance that is missing, at most. */
  neighbourNear: { each: 3, most: 60 },
  /** Where no window is at all. */
  noWindow: 40,
} as const;
