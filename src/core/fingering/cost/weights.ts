/**
 * Every weight of the cost, once. Strain points are on the 0 to 100 scale. All values are choices,
 * calibrated against the standard fingerings (npm run quality) and teaching practice.
 */
export interface Weights {
  /** Share of the placement curve that an opening between successive notes adds, up to comfort and beyond it. */
  readonly opening: number;
  readonly openingBeyond: number;
  /** Share by which an opening grows where the music leaves no window to close. */
  readonly openingNoWindow: number;
  /** Strain of a wide opening held on, per mm beyond relaxed and second. */
  readonly heldOpen: number;
  /** Strain per mm missing to a safe clearance over a key beside. */
  readonly neighbourPerMm: number;
  /** Share of a placement's strain that each note struck in it adds, up to comfort and beyond it. */
  readonly holding: number;
  readonly holdingBeyond: number;
  /** Strain that a placement out of reach counts as, where the player wants it all the same, and per mm short. */
  readonly outOfReach: number;
  readonly outOfReachPerMm: number;
  /** Share of the curve for fingers closed up. */
  readonly crowding: number;
  /** Share by which crowding grows where the notes come twice as fast as is easy. */
  readonly tangle: number;
  /** Strain of letting go to carry the hand across, where the school has it so and where the pedal keeps the sound. */
  readonly carriedAcross: number;
  readonly carriedByPedal: number;
  /** Strain per mm the hand's middle is carried beyond its rest. */
  readonly carry: number;
  /** Strain per ms by which the time for carrying falls short. */
  readonly shortfall: number;
  /** Strain of a change of position over three notes, and per mm beyond comfort by the outer finger, 2 to 5. */
  readonly position: number;
  readonly positionPerMm: readonly [number, number, number, number];
  /** Strain of any thumb pass; added where the thumb goes under, with the thumb on black and the other on white, and with both level. */
  readonly thumbPass: number;
  readonly thumbPassUnder: number;
  readonly thumbPassAgainst: number;
  readonly thumbPassLevel: number;
  /** Strain per mm of the pass by the finger passed, 2 to 5; calibrated, and not monotone: 5 reaches no farther than 4. */
  readonly thumbPassPerMm: readonly [number, number, number, number];
  /** Strain of the finger passed, 2 to 5. */
  readonly thumbPassFinger: readonly [number, number, number, number];
  /** Strain of fingers crossing without the thumb. */
  readonly crossing: number;
  /** Strain of thumb and of little finger on a black key, and for each neighbour in time on a white one. */
  readonly thumbOnBlack: number;
  readonly littleOnBlack: number;
  readonly blackBesideWhite: number;
  /** Strain of each finger for merely playing, thumb first: weaker fingers more. */
  readonly weakFinger: readonly [number, number, number, number, number];
  /** Share by which that grows from middling to as loud as can be, times two, and where the finger carries the tune. */
  readonly weakPerLoad: number;
  readonly weakInTune: number;
  /** Strain of the thumb on the softest note. */
  readonly heavyThumb: number;
  /** Strain of 3, 4 and 5 in a row in any order, and of 3 then 4 or back. */
  readonly weakRow: number;
  readonly weakPair: number;
  /** Strain of 4 on a black key beside 3 on a white one. */
  readonly fourthInside: number;
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
  /** Strain of one finger again on another key, and per Hz beyond ease on any. */
  readonly sameFinger: number;
  readonly sameFingerPerHz: number;
  /** Strain of a note nobody plays, inside a chord and at its outside. */
  readonly leftOut: number;
  readonly leftOutOuter: number;
  /** Strain of a note that changes hands, where hands are shared out anew: reading it so is work. */
  readonly handChanged: number;
  /** Strain of a note played by a resting finger. */
  readonly restingFinger: number;
}

export const WEIGHTS: Weights = {
  opening: 0.03,
  openingBeyond: 0.501,
  openingNoWindow: 0.5,
  heldOpen: 0.1,
  neighbourPerMm: 0.183,
  holding: 0.3,
  holdingBeyond: 1.2,
  outOfReach: 110,
  outOfReachPerMm: 1,
  crowding: 0.138,
  tangle: 1.5,
  carriedAcross: 8,
  carriedByPedal: 12,
  carry: 0.119,
  shortfall: 0.464,
  position: 14.3,
  positionPerMm: [0.0726, 0.0864, 0.207, 0.0994],
  thumbPass: 16.4,
  thumbPassUnder: 1.78,
  thumbPassAgainst: 25.9,
  thumbPassLevel: 6.91,
  thumbPassPerMm: [0.0833, 0.0335, 0.132, 0.281],
  thumbPassFinger: [23.4, 0.857, 1.66, 19],
  crossing: 40,
  thumbOnBlack: 26,
  littleOnBlack: 4.63,
  blackBesideWhite: 14.9,
  weakFinger: [0, 0, 0, 3.16, 1.76],
  weakPerLoad: 1.6,
  weakInTune: 0.5,
  heavyThumb: 6,
  weakRow: 4.33,
  weakPair: 8,
  fourthInside: 0.451,
  inOut: 0.197,
  rotation: 4.95,
  heldLost: 120,
  heldLostPedal: 30,
  heldPerMm: 0.5,
  changeOnKey: 14,
  doubledThumb: 12,
  sameFinger: 55,
  sameFingerPerHz: 9.71,
  leftOut: 120,
  leftOutOuter: 160,
  handChanged: 2,
  restingFinger: 200,
};

/** What leaps weigh for a player who finds them easy, and for one who finds finger work easy. A choice. */
export const LEAPS_FOR = { "finger-work": 2.5, even: 1, leaps: 0.4 } as const;
