import type { Fingering } from "../fingering/study/fingering";
import type { NoteId } from "../passage/note";
import { takesSameFingers, type Figure, type FigureReturn } from "./figure";

/** A return fingered like its figure but for one finger: the two get swapped on stage. */
export interface Trap {
  readonly figure: Figure;
  readonly answer: FigureReturn;
  /** The notes that differ, in the figure and in its return. */
  readonly note: NoteId;
  readonly other: NoteId;
}

/** The memory traps of a fingering: returns that differ from their figure, or from another return, in one finger. */
export function trapsOf(figures: readonly Figure[], fingering: Fingering): readonly Trap[] {
  return figures.flatMap((figure) =>
    figure.returns.filter(takesSameFingers).flatMap((answer): Trap[] => {
      const places = figure.notes
        .map((_, place) => place)
        .filter((place) => !answer.changed.includes(place))
        .filter((place) => fingering[figure.notes[place]!] !== fingering[answer.notes[place]!]);
      const [place] = places;
      return places.length === 1 ? [{ figure, answer, note: figure.notes[place!]!, other: answer.notes[place!]! }] : [];
    }),
  );
}
