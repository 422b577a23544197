import type { Bond } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { NoteId } from "../passage/note";
import type { Tying } from "./tying";
import { feelsTheSame, takesSameFingers, type Figure, type FigureReturn } from "./figure";

/**
 * The bonds that tie figures to their returns, note by note. Changed notes are free. So are the first and the last
 * onset of a hand: no place comes before the one or after the other, and it is there that a returning figure is
 * begun and ended otherwise.
 */
export function bondsOf(study: Study, figures: readonly Figure[], tying: Tying): readonly Bond[] {
  const free = endsOf(study);
  return figures.flatMap((figure) =>
    bondsIn(
      figure,
      figure.returns.filter((r) => isTied(r, tying)),
      free,
    ),
  );
}

/** Whether a return keeps its figure's fingers. */
export function isTied(given: FigureReturn, tying: Tying): boolean {
  return tying === "all" ? takesSameFingers(given) : tying === "alike" && feelsTheSame(given);
}

function bondsIn({ notes }: Figure, returns: readonly FigureReturn[], free: ReadonlySet<NoteId>): readonly Bond[] {
  return notes
    .map((note, place) => {
      const answers = returns.filter(({ changed }) => !changed.includes(place)).map((r) => r.notes[place]!);
      return [note, ...answers].filter((id) => !free.has(id));
    })
    .filter((bond) => bond.length > 1);
}

/** The notes of each hand's first and last onset. */
function endsOf(study: Study): ReadonlySet<NoteId> {
  const ends = tasksOf(study).flatMap(({ line: { onsets } }) => [onsets[0], onsets.at(-1)]);
  return new Set(ends.flatMap((onset) => onset?.struck.flatMap((s) => s.notes) ?? []));
}
