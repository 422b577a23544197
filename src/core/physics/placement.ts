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
