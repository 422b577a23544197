/**
 * What no score for a pianist comes near. Past any of these a file is refused in a sentence, before it can take the time
 * and memory of others. All are choices: many times the largest scores met.
 */
export const LIMITS = {
  /** Bytes of a file as it comes. */
  fileBytes: 20 * 1024 * 1024,
  /** XML elements in all: a score of a thousand bars for two hands has half a million. */
  elements: 1_000_000,
  /** Notes in all, rests among them. */
  notes: 120_000,
  /** Grace notes before one note. */
  graces: 64,
  /** Divisions of a quarter note, and the divisions a note may last. */
  divisions: 1_000_000,
  /** Denominator of a place in time: notes at finer places cannot be told apart by anybody. */
  denominator: 10_000_000,
  /** Beats of a bar, and what its lower figure may be. */
  beats: 256,
  /** Staves of one part. */
  staves: 8,
  /** Quarter notes a minute. */
  tempo: [1, 1000],
} as const;
