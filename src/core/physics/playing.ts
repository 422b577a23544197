/** How music is taken to be played where it does not say. All choices. */
export const PLAYING = {
  /** Loudness from 0 to 1, neither loud nor soft: what is not marked counts as this. */
  middling: 0.5,
  /** Quarter notes a minute where nothing says how fast a passage goes: an easy walking pace. */
  usualTempo: 96,
  /** Lower figures of a metre for which counts that go in threes are counted in threes. */
  quickUnit: 8,
} as const;

/** Strain at the comfortable limit: the middle of the scale from relaxed, 0, to the widest, 100. */
export const COMFORT = 50;
