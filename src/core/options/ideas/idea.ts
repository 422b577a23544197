import type { NoteId } from "../../passage/note";
import type { Position } from "../../fingering/explain/positions";
import type { Judged, Study } from "../../fingering/study/study";

/** A fingering as its ideas are read from it. */
export interface Reading {
  readonly study: Study;
  readonly judged: Judged;
  readonly positions: readonly Position[];
}

/** Something by which a pianist would tell one way to play a passage from another. Each is a file in ideas/. */
export interface Idea {
  readonly id: string;
  /** What there is of it in a fingering. */
  amount(reading: Reading): number;
  /** By how much it must differ to be another idea. */
  readonly least: number;
  /** In the player's words: "stays in two positions". */
  say(amount: number): string;
}

const WORDS = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];

/** "two positions", "one pass", "no leap". */
export function inWords(count: number, one: string, many = `${one}s`): string {
  return `${WORDS[count] ?? count} ${count === 1 ? one : many}`;
}

/** The notes that have a finding of a cause, in the order of the judged notes. */
export function notesWith({ judged }: Reading, cause: string): readonly NoteId[] {
  return Object.entries(judged.notes).flatMap(([id, { causes }]) =>
    causes.some((found) => found.cause === cause && found.strain > 0) ? [id as NoteId] : [],
  );
}
