import type { Figure } from "../figures/figure";
import { SIDES, type Side } from "../hand/finger";
import type { NoteId } from "../passage/note";
import { breakingOf, type Breaking } from "./breaking";

/** Some notes of a passage under a name: a hand's, or a figure's with all its returns. */
export interface Part {
  readonly name: string;
  readonly notes: ReadonlySet<NoteId>;
}

/** The hands of a passage, where both play, and its figures. @param notes that are played, with the hand of each */
export function partsOf(notes: readonly (readonly [NoteId, Side])[], figures: readonly Figure[]): readonly Part[] {
  const hands = SIDES.map((side) => ({
    name: `${side} hand`,
    notes: new Set(notes.flatMap(([id, own]) => (own === side ? [id] : []))),
  }));
  return [
    ...(hands.every(({ notes: own }) => own.size > 0) ? hands : []),
    ...figures.map((figure, i) => ({
      name: `figure ${i + 1}`,
      notes: new Set([...figure.notes, ...figure.returns.flatMap((again) => again.notes)]),
    })),
  ];
}

/** The tempo at which each part breaks: a part is clean in a take where none of its notes went astray. */
export function breakingByPart(
  parts: readonly Part[],
  takes: readonly { readonly tempo: number; readonly astray: Readonly<Record<string, number>> }[],
): readonly { readonly name: string; readonly breaking: Breaking }[] {
  return parts.map(({ name, notes }) => ({
    name,
    breaking: breakingOf(
      takes.map(({ tempo, astray }) => ({ tempo, clean: !Object.keys(astray).some((id) => notes.has(id as NoteId)) })),
    ),
  }));
}
