import type { Study } from "../fingering/study/study";
import type { NoteId } from "../passage/note";
import { answersBetween, figureFrom, melodiesOf } from "./answers";
import { takesSameFingers, type Figure } from "./figure";

/** Notes that the player has tied: a stretch and the places that answer it, note by note. */
export interface ChosenTie {
  readonly notes: readonly NoteId[];
  /** null where a return's note is changed, and so left free. */
  readonly returns: readonly (readonly (NoteId | null)[])[];
}

/**
 * A stretch that the player has chosen, as a figure with every place that answers it and can take its fingers: all
 * onsets of one hand from the first to the last of the notes named. null where they are not in one hand, or where the
 * hand's line is too long to be searched.
 */
export function chosenFigure(study: Study, notes: readonly NoteId[]): Figure | null {
  const melodies = melodiesOf(study);
  const chosen = new Set(notes);
  for (const melody of melodies) {
    const at = melody.moments.flatMap((m, i) => (m.notes.some((id) => chosen.has(id)) ? [i] : []));
    if (at.length === 0) continue;
    const [from, last] = [at[0]!, at.at(-1)!];
    const known = new Set(melody.moments.flatMap((m) => m.notes));
    if (notes.some((id) => !known.has(id))) return null;
    const answers = melodies.flatMap((other) => answersBetween(melody, other, { alsoEarlier: true }));
    const figure = figureFrom(melody, from, last - from + 1, answers);
    return { ...figure, returns: figure.returns.filter(takesSameFingers) };
  }
  return null;
}

/** A chosen figure as it is tied. */
export function tieOf({ notes, returns }: Figure): ChosenTie {
  return { notes, returns: returns.map((r) => r.notes.map((id, place) => (r.changed.includes(place) ? null : id))) };
}

/** The notes that ties bind together, place by place. */
export function bondsOfTies(ties: readonly ChosenTie[]): readonly (readonly NoteId[])[] {
  return ties.flatMap(({ notes, returns }) =>
    notes.map((note, place) => [note, ...returns.flatMap((r) => r[place] ?? [])]),
  );
}
