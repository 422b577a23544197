import { childrenOf } from "../../xml/tree";
import type { NoteHead } from "../score";

/** The first note of the chord that a head of a bar belongs to: nothing may stand between the notes of a chord. */
export function firstOfChord(heads: readonly NoteHead[], i: number): NoteHead {
  while (i > 0 && isChordNote(heads[i]!)) i--;
  return heads[i]!;
}

/** The last note of the chord that a head of a bar belongs to. */
export function lastOfChord(heads: readonly NoteHead[], i: number): NoteHead {
  while (i + 1 < heads.length && isChordNote(heads[i + 1]!)) i++;
  return heads[i]!;
}

function isChordNote({ element }: NoteHead): boolean {
  return childrenOf(element, "chord").length > 0;
}
