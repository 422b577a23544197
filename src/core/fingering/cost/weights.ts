/**
 * Every weight of the cost, once. Strain points are on the 0 to 100 scale. All values are choices,
 * calibrated against the standard fingerings (npm run quality) and teaching practice.
 */
export interface Weights {
  /** Share of the placement curve that an opening between successive notes adds, up to comfort and beyond it. */
  readonly opening: number;
  readonly openingBeyond: number;
  /** Share of a placement's strain that each note struck in it adds, up to comfort and beyond it. */
  readonly holding: number;
  readonly holdingBeyond: number;
  /** Strain that a placement out of reach counts as, where the player wants it all the same, and per mm short. */
  readonly outOfReach: number;
  readonly outOfReachPerMm: number;
  /** Share of the curve for fingers closed up. */
  readonly crowding: number;
  /** Strain per mm the hand's middle is carried beyond its rest. */
  readonly carry: number;
  /** Strain per ms by which the time for carrying falls short. */
  readonly shortfall: number;
  /** Strain of a change of position over three notes, and per mm beyond comfort by the outer finger, 2 to 5. */
  readonly position: number;
  readonly positionPerMm: readonly [number, number, number, number];
  /** Strain of any thumb pass; added with the thumb on black and the other on white, and with both level. */
  readonly thumbPass: number;
  readonly thumbPassAgainst: number;
  readonly thumbPassLevel: number;
  /** Strain per mm of the pass by the finger passed, 2 to 5: farther from the thumb there is more room. */
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
  /** Strain of 3, 4 and 5 in a row in any order, and of 3 then 4 or back. */
  readonly weakRow: number;
  readonly weakPair: number;
  /** Strain of 4 on a black key beside 3 on a white one. */
  readonly fourthInside: number;
  /** Strain per mm of travel in or out. */
  readonly inOut: number;
  /** Strain per Hz of rotation beyond ease. */
  readonly rotation: number;
  /** Strain of each onset for which a held note is let go early, without pedal and with it, and per mm short. */
  readonly heldLost: number;
  readonly heldLostPedal: number;
  readonly heldPerMm: number;
  /** Strain of one finger again on another key, and per Hz beyond ease on any. */
  readonly sameFinger: number;
  readonly sameFingerPerHz: number;
  /** Strain of a note nobody plays, inside a chord and at its outside. */
  readonly leftOut: number;
  readonly leftOutOuter: number;
  /** Strain of a note played by a resting finger. */
  readonly restingFinger: number;
}

export const WEIGHTS: Weights = {
  opening: 0.0475,
  openingBeyond: 0.331,
  holding: 0.3,
  holdingBeyond: 1.2,
  outOfReach: 110,
  outOfReachPerMm: 1,
  crowding: 0.368,
  carry: 0.0446,
  shortfall: 0.365,
  position: 18,
  positionPerMm: [0.0355, 0.0416, 0.0853, 0.453],
  thumbPass: 2.76,
  thumbPassAgainst: 16.6,
  thumbPassLevel: 4.89,
  thumbPassPerMm: [0.0563, 0.0474, 0.0439, 0.3],
  thumbPassFinger: [9.78, 9.74, 0.667, 9.59],
  crossing: 40,
  thumbOnBlack: 6.48,
  littleOnBlack: 20,
  blackBesideWhite: 24.6,
  weakFinger: [0, 0, 0, 10, 10],
  weakRow: 1,
  weakPair: 8,
  fourthInside: 0.271,
  inOut: 0.154,
  rotation: 4.72,
  heldLost: 40,
  heldLostPedal: 10,
  heldPerMm: 0.5,
  sameFinger: 29.5,
  sameFingerPerHz: 11.4,
  leftOut: 120,
  leftOutOuter: 160,
  restingFinger: 200,
};
