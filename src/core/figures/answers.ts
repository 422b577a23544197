import { FIGURE } from "../physics";
import { tasksOf, type Study } from "../fingering/study/study";
import { isBlack } from "../keyboard/pitch";
import type { Pitch } from "../keyboard/pitch";
import { playedNotes } from "../passage/passage";
import type { Figure, FigureReturn } from "./figure";
import { melodyOf, type Melody } from "./melody";
import { relationByName, RELATIONS, type RelationName } from "./relations";
import { runsAlong, type Run } from "./runs";

/** Lines longer than this in onsets are not searched for figures: the work grows with the square. */
const LONGEST_SEARCHED = 600;

/** A run of one hand's onsets that answers another by a relation. */
export interface Answer extends Run {
  readonly relation: RelationName;
  readonly figure: Melody;
  readonly answer: Melody;
}

/** What each hand of a study plays, as figures are compared by; lines too long to be searched are left out. */
export function melodiesOf(study: Study): readonly Melody[] {
  const byId = new Map(playedNotes(study.passage).map((note) => [note.id, note]));
  return tasksOf(study)
    .map((task) => melodyOf(task, byId))
    .filter(({ moments }) => moments.length <= LONGEST_SEARCHED);
}

/**
 * All runs of a melody that another answers, by every relation; with itself only later ones, unless asked for.
 * @param least onsets of the shortest that is wanted
 */
export function answersBetween(
  figure: Melody,
  answer: Melody,
  { alsoEarlier = false, least = 1 }: { readonly alsoEarlier?: boolean; readonly least?: number } = {},
): readonly Answer[] {
  const first = figure === answer && !alsoEarlier ? 1 : 1 - figure.moments.length;
  const answers: Answer[] = [];
  for (const relation of RELATIONS) {
    if (!relation.between(figure.side, answer.side)) continue;
    for (let offset = first; offset < answer.moments.length; offset++) {
      if (figure === answer && offset === 0) continue;
      for (const run of runsAlong(figure, answer, offset, relation))
        if (run.length >= least) answers.push({ ...run, relation: relation.name, figure, answer });
    }
  }
  return answers;
}

/** How much an answer is worth against one that is the very same, 0 to 1. */
export function worthOf({ relation, changed }: Answer): number {
  return relationByName(relation).worth * (changed.length > 0 ? FIGURE.changedWorth : 1);
}

/** Some onsets of a melody as a figure, with every place among the answers that answers them whole and does not overlap. */
export function figureFrom(figure: Melody, from: number, length: number, all: readonly Answer[]): Figure {
  const candidates = all
    .filter((a) => a.figure === figure && a.from <= from && a.from + a.length >= from + length)
    .map((a) => ({ answer: a, start: a.to + from - a.from }))
    .filter(({ answer, start }) => answer.answer !== figure || Math.abs(start - from) >= length)
    .sort(
      (a, b) =>
        Number(a.answer.answer !== figure) - Number(b.answer.answer !== figure) ||
        a.start - b.start ||
        worthOf(b.answer) - worthOf(a.answer),
    );
  const taken: typeof candidates = [];
  for (const next of candidates) {
    const overlaps = taken.some(
      (t) => t.answer.answer === next.answer.answer && Math.abs(t.start - next.start) < length,
    );
    if (!overlaps) taken.push(next);
  }
  return {
    side: figure.side,
    notes: notesFrom(figure, from, length),
    returns: taken.map(({ answer, start }) => returnOf(answer, from, start, length)),
  };
}

function returnOf(answer: Answer, from: number, start: number, length: number): FigureReturn {
  const { relation, by, changed, figure, answer: melody } = answer;
  const keys = (of: Melody, at: number): number[] => of.moments.slice(at, at + length).flatMap((m) => m.keys);
  const [one, other] = [keys(figure, from), keys(melody, start)];
  const alike = one.filter((key, i) => isBlack(key as Pitch) === isBlack(other[i] as Pitch)).length / one.length;
  return {
    relation,
    side: melody.side,
    notes: notesFrom(melody, start, length),
    by,
    alike,
    inSequence: melody === figure && (start - from) % length === 0,
    changed: placesOf(
      figure,
      from,
      length,
      changed.map((at) => answer.from + at),
    ),
  };
}

/** Notes of the onsets from one on, lowest from the thumb first; `from` and `length` count onsets, from 0; what lies past the end is left out. */
export function notesFrom({ moments }: Melody, from: number, length: number): Figure["notes"] {
  return moments.slice(from, from + length).flatMap((m) => m.notes);
}

/** Places, among the notes from an onset on, of the notes of some onsets. */
function placesOf({ moments }: Melody, from: number, length: number, onsets: readonly number[]): readonly number[] {
  let place = 0;
  return moments.slice(from, from + length).flatMap((moment, i) => {
    const places = moment.notes.map(() => place++);
    return onsets.includes(from + i) ? places : [];
  });
}
