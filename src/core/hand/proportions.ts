import type { Finger } from "./finger";

/**
 * Openings of a large hand between contact centres, in semitones of the published keyboard.
 * Source: Parncutt, Sloboda, Clarke, Raekallio, Desain, "An ergonomic model of keyboard fingering for
 * melodic fragments", Music Perception 14(4), 1997, table of spans. Negative means crossed.
 * Row: lower finger, upper finger, then least practical, least comfortable, least relaxed,
 * widest relaxed, widest comfortable, widest practical.
 */
export type ProportionRow = readonly [Finger, Finger, number, number, number, number, number, number];

export const PUBLISHED_PROPORTIONS: readonly ProportionRow[] = [
  [1, 2, -5, -3, 1, 5, 8, 10],
  [1, 3, -4, -2, 3, 7, 10, 12],
  [1, 4, -3, -1, 5, 9, 12, 14],
  [1, 5, -1, 1, 7, 10, 13, 15],
  [2, 3, 1, 1, 1, 2, 3, 5],
  [2, 4, 1, 1, 3, 4, 5, 7],
  [2, 5, 2, 2, 5, 6, 8, 10],
  [3, 4, 1, 1, 1, 2, 2, 4],
  [3, 5, 1, 1, 3, 4, 5, 7],
  [4, 5, 1, 1, 1, 2, 3, 5],
];
