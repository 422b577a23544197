/**
 * Every weight of the cost, once. Strain points are on the 0 to 100 scale. All values are choices,
 * calibrated against the standard fingerings (npm run quality) and teaching practice.
 */
export interface Weights {
  /** Share of the placement curve that an opening between successive notes adds, up to comfort and beyond it. */
  readonly opening: number;
  readonly openingBeyond: number;
  /** Strain of a wide opening held on, per mm beyond relaxed and second. */
  readonly heldOpen: number;
  /** Strain per mm missing to a safe clearance over a key beside. */
  readonly neighbourPerMm: number;
  /** Share of a placement's strain that each note struck in it adds, up to comfort and beyond it. */
  readonly holding: number;
  readonly holdingBeyond: number;
  /** Strain per mm by which the fingers of a chord lie on the mean from where they rest. */
  readonly unlikeRest: number;
  /** Strain of a chord whose outer fingers lie e times as far apart as they rest, or as close. */
  readonly spread: number;
  /** Strain of a wide step of a line by fingers that go e times as far apart as they rest. */
  readonly wideStep: number;
  /** Strain of a whole chord without the thumb. */
  readonly idleThumb: number;
  /** Strain per finger by which a triad in thirds lies off where five fingers share it. */
  readonly offTriad: number;
  /** Strain that a placement out of reach counts as, where the player wants it all the same, and per mm short. */
  readonly outOfReach: number;
  readonly outOfReachPerMm: number;
  /** Share of the curve for fingers closed up. */
  readonly crowding: number;
  /** Share by which crowding grows where the notes come twice as fast as is easy. */
  readonly tangle: number;
  /** Strain of a line that breaks, for any distance within reach (see MOTION.leapAsked beyond it); the same where the school has the hand carried and where the pedal keeps the sound. */
  readonly lineBroken: number;
  readonly carriedAcross: number;
  readonly carriedByPedal: number;
  /** Strain per mm that the hand is carried, in the usual time; times as much where it goes between two notes that it binds. */
  readonly carry: number;
  readonly carryAtOnce: number;
  /** Strain per ms by which the time for carrying falls short. */
  readonly shortfall: number;
  /** Strain of a change of position, in the usual time. */
  readonly position: number;
  /** Strain of a hand that over three onsets is as far open or closed as in comfort, in the usual time. */
  readonly outOfPlace: number;
  /** Strain of any thumb pass; added with the thumb on black and the other on white, with both level, and as far as the hand comes past that finger in comfort. */
  readonly thumbPass: number;
  readonly thumbPassAgainst: number;
  readonly thumbPassLevel: number;
  readonly thumbPassFar: number;
  /** Strain per mm that the tip of the finger passed lies behind the foremost: the hand must go so much farther in, or turn over it. */
  readonly thumbPassBehind: number;
  /** Strain of a pass where the two cannot cross in comfort at all; grows over the first MOTION.rampMm that they must stay apart for it. */
  readonly thumbPassTight: number;
  /** Strain of a pass that serves a single note. */
  readonly forOneNote: number;
  /** Strain of a hand set far along for two notes only, in the usual time. */
  readonly forTwoNotes: number;
  /** Strain per finger that lies unused within the one that begins a broken chord on white, or ends it. */
  readonly begunInside: number;
  /** Strain of fingers crossing without the thumb. */
  readonly crossing: number;
  /** Strain of thumb and of little finger on a black key. */
  readonly thumbOnBlack: number;
  readonly littleOnBlack: number;
  /** Strain of each finger for merely playing, thumb first: weaker fingers more. */
  readonly weakFinger: readonly [number, number, number, number, number];
  /** Share by which that grows from middling to as loud as can be, times two, and where the finger carries the tune. */
  readonly weakPerLoad: number;
  readonly weakInTune: number;
  /** Strain of the thumb on the softest note. */
  readonly heavyThumb: number;
  /** Strain of 3 then 4 or back, per stroke a second beyond ease; of two fingers in turn, the same, times how they are bound together. */
  readonly weakPairPerHz: number;
  readonly alternation: number;
  /** Strain per mm of travel in or out. */
  readonly inOut: number;
  /** Strain per Hz of rotation beyond ease. */
  readonly rotation: number;
  /** Strain of each quarter note by which a held note is let go early, without pedal and with it, and per mm short. */
  readonly heldLost: number;
  readonly heldLostPedal: number;
  readonly heldPerMm: number;
  /** Strain of a silent change of finger on a held key. */
  readonly changeOnKey: number;
  /** Strain of the thumb on two neighbouring white keys at once. */
  readonly doubledThumb: number;
  /** Strain per Hz by which a finger, or the wrist, strikes again faster than with ease. */
  readonly repetitionPerHz: number;
  /** Strain of a stroke of the wrist with a whole chord, in the usual time. */
  readonly wristStroke: number;
  /** Strain per onset a second beyond what one hand plays with ease: of single notes, and of several at once. */
  readonly speed: number;
  readonly speedDouble: number;
  /** Strain of another finger on a key that was struck one or two onsets before. */
  readonly otherFinger: number;
  /** Strain more where it lies farther from the thumb than the finger that struck before: fingers in turn on one key are drawn towards the thumb. */
  readonly againstSweep: number;
  /** Strain of a note nobody plays: inside a chord, there with another octave of it in the chord, and at its outside or of the tune. */
  readonly leftOut: number;
  readonly leftOutDoubled: number;
  readonly leftOutOuter: number;
  /** Strain that it is worth, a note, that a figure keeps its fingers when it returns; times as much where the player asks for it. */
  readonly memory: number;
  readonly memoryAsked: number;
  /** Strain of a note that changes hands, where hands are shared out anew: reading it so is work. */
  readonly handChanged: number;
  /** Strain of a note played by a resting finger. */
  readonly restingFinger: number;
}

export const WEIGHTS: Weights = {
  opening: 0.018,
  openingBeyond: 0.204,
  heldOpen: 0.01,
  neighbourPerMm: 0.0511,
  holding: 0.491,
  holdingBeyond: 0.677,
  unlikeRest: 0.1,
  spread: 4,
  wideStep: 3,
  idleThumb: 2,
  offTriad: 8,
  outOfReach: 110,
  outOfReachPerMm: 1,
  crowding: 0.75,
  tangle: 1.5,
  lineBroken: 110,
  carriedAcross: 8,
  carriedByPedal: 85,
  carry: 0.0882,
  carryAtOnce: 3,
  shortfall: 0.434,
  position: 8.11,
  outOfPlace: 1.97,
  thumbPass: 32,
  thumbPassAgainst: 39.4,
  thumbPassLevel: 11.5,
  forOneNote: 0.5,
  forTwoNotes: 22,
  begunInside: 30,
  thumbPassFar: 3.4,
  thumbPassBehind: 0.897,
  thumbPassTight: 100,
  crossing: 57,
  thumbOnBlack: 35,
  littleOnBlack: 22,
  weakFinger: [0.0, 0.0, 0.0, 1.0, 0.222],
  weakPerLoad: 1.6,
  weakInTune: 0.5,
  heavyThumb: 6,
  weakPairPerHz: 0.519,
  alternation: 3,
  inOut: 0.0903,
  rotation: 2.53,
  heldLost: 150,
  heldLostPedal: 30,
  heldPerMm: 0.5,
  changeOnKey: 25,
  doubledThumb: 40,
  repetitionPerHz: 14.3,
  wristStroke: 4,
  speed: 2.2,
  speedDouble: 5.5,
  otherFinger: 16,
  againstSweep: 14,
  leftOut: 120,
  leftOutDoubled: 90,
  leftOutOuter: 160,
  memory: 20,
  memoryAsked: 4,
  handChanged: 2,
  restingFinger: 200,
};

/** What leaps weigh for a player who finds them easy, and for one who finds finger work easy. A choice. */
export const LEAPS_FOR = { "finger-work": 2.5, even: 1, leaps: 0.4 } as const;

/** Times as much as in the plain sum that a leaning lets a weight count, by leaning. All choices. */
export const LEANING_TIMES = {
  carried: { carriedAcross: 0.5, carriedByPedal: 0.5, carry: 0.5 },
  clearestAtSpeed: {
    crowding: 2,
    tangle: 2,
    rotation: 2,
    lineBroken: 1.5,
    repetitionPerHz: 2,
    shortfall: 2,
    weakPairPerHz: 2,
    alternation: 2,
    opening: 0.5,
    openingBeyond: 0.5,
  },
  fewestMoves: { position: 2, thumbPass: 2, carry: 2, carriedAcross: 2, carriedByPedal: 2, crossing: 2 },
  legato: { heldLost: 2, heldLostPedal: 4, lineBroken: 2, carriedByPedal: 4 },
  smallestOpenings: { opening: 3, openingBeyond: 3, heldOpen: 3, neighbourPerMm: 3, holding: 3, holdingBeyond: 3 },
  strongOnTune: { weakInTune: 10, weakPerLoad: 5, heavyThumb: 3, weakFinger: 4 },
} as const satisfies Record<string, Partial<Record<keyof Weights, number>>>;
