import { FIGURE } from "../physics";
import type { Conditions } from "../fingering/search/conditions";
import { differences, type Fingering, type Pins } from "../fingering/study/fingering";
import type { Lattice } from "../fingering/search/lattice";
import type { Progress } from "../fingering/search/search";
import { fingering, judge, notesAsked, type Study } from "../fingering/study/study";
import type { Finger } from "../hand/finger";
import type { NoteId } from "../passage/note";
import { takesSameFingers, type Figure, type FigureReturn } from "./figure";

/** What it costs one fingering that a return keeps its figure's fingers, and what that it takes its own. */
export interface KeepingPrice {
  readonly figure: Figure;
  readonly answer: FigureReturn;
  /** Whether the fingering keeps them now. */
  readonly keeps: boolean;
  /** Mean strain of the passage with the figure's fingers there, and with the best of its own; never less with the former. */
  readonly keeping: number;
  readonly changing: number;
  /** Notes that would then be fingered otherwise than in the figure: what there is to confuse. */
  readonly apart: number;
}

/**
 * For every return of every figure, the cost of keeping and of changing: the return with the figure's fingers, and
 * with the best of its own, while all else stays as the fingering has it but for a few notes on either side. A
 * generator, so that it can be stopped. Prices are strains, summed over the notes of the return and those beside it.
 * @param lattices of the study
 */
export function* keepingPrices(
  study: Study,
  lattices: readonly Lattice[],
  figures: readonly Figure[],
  given: Fingering,
): Generator<Progress, readonly KeepingPrice[]> {
  const asked = notesAsked(study);
  const prices: KeepingPrice[] = [];
  for (const figure of figures) {
    for (const answer of figure.returns.filter(takesSameFingers)) {
      const theirs = asAnswered(figure, answer, given);
      const about = standing(asked, answer, given);
      const keeping = yield* strainOf(study, lattices, { pins: { ...about, ...theirs } });
      const changing = yield* strainOf(study, lattices, { pins: about });
      prices.push({
        figure,
        answer,
        keeps: Object.entries(theirs).every(([id, finger]) => given[id as NoteId] === finger),
        keeping: keeping.strain,
        changing: changing.strain,
        apart: differences(Object.keys(theirs) as NoteId[], theirs, changing.digits).length,
      });
    }
  }
  return prices;
}

/** The figure's fingers on the notes of a return; changed notes are free. */
function asAnswered({ notes }: Figure, { notes: theirs, changed }: FigureReturn, given: Fingering): Pins {
  return Object.fromEntries(
    notes.flatMap((id, place) => {
      const finger = given[id];
      return finger && !changed.includes(place) ? [[theirs[place]!, finger]] : [];
    }),
  ) as Pins;
}

/** The fingering's own digits everywhere but in a return and close beside it. */
function standing(asked: readonly NoteId[], { notes }: FigureReturn, given: Fingering): Pins {
  const at = notes.map((id) => asked.indexOf(id));
  const [from, to] = [Math.min(...at) - FIGURE.givesWay, Math.max(...at) + FIGURE.givesWay];
  const pins: Record<NoteId, Finger> = {};
  asked.forEach((id, i) => {
    const finger = given[id];
    if (finger && (i < from || i > to)) pins[id] = finger;
  });
  return pins;
}

function* strainOf(
  study: Study,
  lattices: readonly Lattice[],
  conditions: Conditions,
): Generator<Progress, { readonly digits: Fingering; readonly strain: number }> {
  const [digits] = yield* fingering(lattices, conditions, 1);
  return { digits: digits!, strain: judge(study, digits!).strain };
}
