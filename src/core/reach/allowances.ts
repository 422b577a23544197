/** Which remedies a player allows where a hand cannot hold what is written. */
export interface Allowances {
  readonly rolls: boolean;
  /** Doubled and inner notes may be left out or moved by an octave. */
  readonly omissions: boolean;
  /** The pedal may sound on what the hand lets go. */
  readonly pedal: boolean;
  /** Tune and bass may be left out or moved as well. */
  readonly tuneAndBass: boolean;
}

export const USUAL_ALLOWANCES: Allowances = { rolls: true, omissions: true, pedal: true, tuneAndBass: false };
