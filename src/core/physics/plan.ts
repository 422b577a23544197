/** How a hand moves from onset to onset. Everything here is a choice or a starting value, as said. */
export const PLAN = {
  /** ms over which a motion is smoothed at most: a choice, about the time of one movement of the arm. */
  smoothMs: 240,
  /** Share of the time from one place to the next over which it is smoothed at most, so that a place far ahead moves nothing now. A choice. */
  smoothShare: 0.55,
  /** How much the hand is drawn to where it lies best while all fingers reach in comfort, and into that stretch from outside it. Choices. */
  pull: 0.25,
  comfort: 4,
  /** How much a long way costs beside a bent one. A choice: with it the way is at most a tenth longer than the shortest in comfort. */
  shorten: 4,
  /** Strain up to which a finger reaches its key at ease from where the hand lies: half way from relaxed to comfortable. A choice. */
  easeStrain: 25,
  /** mm the middle finger's key may lie beside its place in the hand, to either side, in comfort. Starting value. */
  middleEase: 8,
  /** mm from the front of a white key at which each finger usually touches it, thumb first. Starting values. */
  contactDepth: [13, 38, 42, 40, 25],
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
  /** mm by which a finger that is drawn reaches beyond its limits before it goes with the hand. A choice. */
  reachGive: 6,
  /** ms for which a finger counts as active after it has struck. A choice. */
  active: 90,
  /** Fewest notes that rock: there and back three times. A mordent or a turn is none. A choice. */
  rockingNotes: 6,
  /** Fewest onsets of a group that goes there and back: a circle of the wrist, or a touch of the forearm's. A choice. */
  thereAndBack: 4,
  /** Fewest notes that one turn carries, for it to be named. A choice. */
  turnNotes: 3,
  /** mm up or down from one onset to the next that are worth a sign. A choice. */
  heightWorthSign: 9,
  /** mm in or out from one onset to the next that are worth a sign. A choice. */
  inOutWorthSign: 25,
  /**
   * s for which a hand may be kept open beyond comfort before it is named, of a loudness in the middle and by openAs mm; more
   * mm and louder count for more, at most openMost times as much. Choices.
   */
  keptOpenFrom: 2,
  openAs: 10,
  openMost: 2,
  /** mm by which the middle of the hand must have passed the middle of the body for the elbow to be in the way. A choice. */
  elbowPast: 60,
  /** Share of the joint's way beyond ease from which a wrist bent sideways is named, and the ms for which it must be. Choices. */
  bentFrom: 0.2,
  bentMs: 400,
  /** Wide strokes of the arm that go on: the strokes a second and the s without a rest from which they are named, and the ms that are a rest. Choices. */
  onAndOnRate: 3,
  onAndOnFrom: 8,
  onAndOnRest: 600,
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
  /** Onsets to either side over which the way is solved anew with a small change: what it gains is then what the whole way gains, within 0.1. A choice. */
  adjustAbout: 10,
  /** Least strain saved, and least mm of clearance won, for a small change to be told. Choices. */
  worthTrying: { strain: 0.05, clearance: 0.5 },
  /** Least mm of clearance that a way round a neighbour must gain to be told. A choice. */
  clearanceWorth: 0.1,
  /** Clearance below which a key beside is worth naming, as so many times the safe one. A choice. */
  nearTimes: 2,
} as const;
