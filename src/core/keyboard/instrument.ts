import { KEYBOARD } from "../physics";

/** A keyboard instrument; only its width along the keys varies. */
export interface Instrument {
  /** mm from the left edge of a C to the left edge of the next C. */
  readonly octaveWidth: number;
}

export const FULL_SIZE: Instrument = { octaveWidth: KEYBOARD.fullOctaveWidth };

/** Whether a keyboard may be so wide, in mm an octave. */
export function isOctaveWidth(octaveWidth: number): boolean {
  const [least, most] = KEYBOARD.octaveWidthRange;
  return octaveWidth >= least && octaveWidth <= most;
}

/**
 * An instrument of a given octave width in mm.
 * @throws RangeError outside 120 to 180 mm.
 */
export function instrument(octaveWidth: number): Instrument {
  const [least, most] = KEYBOARD.octaveWidthRange;
  if (!isOctaveWidth(octaveWidth)) {
    throw new RangeError(`An octave of ${octaveWidth} mm is outside ${least} to ${most} mm.`);
  }
  return { octaveWidth };
}
