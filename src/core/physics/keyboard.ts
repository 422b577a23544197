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
  /** mm in or out from there that serve as well: on the head of a white key, on a black one inwards, and where a long finger goes in between black ones. Choices. */
  headGive: 13,
  blackGive: 30,
  tailGive: 35,
} as const;
