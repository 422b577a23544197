import { tasksOf, type Study } from "../fingering/study";
import { isBlack } from "../keyboard/pitch";
import type { Pitch } from "../keyboard/pitch";
import { playedNotes } from "../passage/passage";
import type { Figure, FigureReturn } from "./figure";
import { melodyOf, type Melody } from "./melody";
import { RELATIONS, type RelationName } from "./relations";
import { runsAlong, type Run } from "./runs";

/** Fewest onsets that make a figure. A choice. */
const LEAST_ONSETS = 4;
/** Semitones, the widest step of a scale, as between the sixth and seventh of a harmonic minor one. */
const WIDEST_STEP = 3;
/** Lines longer than this in onsets are not searched for figures: the work grows with the square. */
export const LONGEST_SEARCHED = 600;
/** Part of its worth that a return keeps when it is not unchanged. A choice. */
const CHANGED_WORTH = 0.8;

/**
 * The figures of a passage that come again, in the order of what they cover, each with its returns.
 *
 * A stated rule: all runs of onsets that answer others are listed, by every relation; the one that covers most
 * notes, weighed by its relation, becomes a figure (no longer than its distance to its return) with every other
 * place that answers it whole and does not overlap; then the next, as long as most of its notes are in none so far.
 * Plain steps in one direction are a figure only where they return on the same keys or by octaves.
 */
export function figuresOf(study: Study): readonly Figure[] {
  const byId = new Map(playedNotes(study.passage).map((note) => [note.id, note]));
  const melodies = tasksOf(study)
    .map((task) => melodyOf(task, byId))
    .filter(({ moments }) => moments.length <= LONGEST_SEARCHED);
  const answers = melodies.flatMap((one, i) => melodies.slice(i).flatMap((other) => answersBetween(one, other)));
  const figures: Figure[] = [];
  const covered = new Set<string>();
  for (const answer of [...answers].sort((a, b) => b.worth - a.worth)) {
    const length = lengthOf(answer);
    if (isMostlyIn(covered, notesFrom(answer.figure, answer.from, length))) continue;
    if (isMostlyIn(covered, notesFrom(answer.answer, answer.to, length))) continue;
    const figure = figureFrom(answer, answers);
    figures.push(figure);
    for (const { notes } of [figure, ...figure.returns]) for (const note of notes) covered.add(note);
  }
  return figures;
}

interface Answer extends Run {
  readonly relation: RelationName;
  readonly figure: Melody;
  readonly answer: Melody;
  /** Notes it covers, weighed. */
  readonly worth: number;
}

function answersBetween(figure: Melody, answer: Melody): readonly Answer[] {
  const answers: Answer[] = [];
  for (const relation of RELATIONS) {
    if (!relation.between(figure.side, answer.side)) continue;
    const first = figure === answer ? 1 : 1 - figure.moments.length;
    for (let offset = first; offset < answer.moments.length; offset++) {
      for (const run of runsAlong(figure, answer, offset, relation)) {
        const length = figure === answer ? Math.min(run.length, offset) : run.length;
        if (length < LEAST_ONSETS || !isFigure(figure, run.from, length, relation.name)) continue;
        const weight = relation.worth * (run.changed.length > 0 ? CHANGED_WORTH : 1);
        answers.push({ ...run, relation: relation.name, figure, answer, worth: run.length * weight });
      }
    }
  }
  return answers;
}

/** Whether onsets are more than one key again and again, or, where the keys feel different, plain steps one way. */
function isFigure({ moments }: Melody, from: number, length: number, relation: RelationName): boolean {
  const keys = moments.slice(from, from + length).map((m) => m.keys);
  if (keys.every((k) => k.join() === keys[0]!.join())) return false;
  if (relation === "exact" || relation === "octave" || keys.some((k) => k.length > 1)) return true;
  const moves = keys.slice(1).map(([key], i) => key! - keys[i]![0]!);
  return moves.some((move) => Math.abs(move) > WIDEST_STEP || move * moves[0]! <= 0);
}

/** Onsets of the figure that an answer makes: no longer than its distance to it. */
function lengthOf({ figure, answer, from, to, length }: Answer): number {
  return figure === answer ? Math.min(length, to - from) : length;
}

function figureFrom(chosen: Answer, all: readonly Answer[]): Figure {
  const { figure, from } = chosen;
  const length = lengthOf(chosen);
  const candidates = all
    .filter((a) => a.figure === figure && a.from <= from && a.from + a.length >= from + length)
    .map((a) => ({ answer: a, start: a.to + from - a.from }))
    .filter(({ answer, start }) => answer.answer !== figure || start >= from + length)
    .sort((a, b) => Number(a.answer.answer !== figure) - Number(b.answer.answer !== figure) || a.start - b.start);
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
    changed: placesOf(
      figure,
      from,
      length,
      changed.map((at) => answer.from + at),
    ),
  };
}

function notesFrom({ moments }: Melody, from: number, length: number): Figure["notes"] {
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

function isMostlyIn(covered: ReadonlySet<string>, notes: readonly string[]): boolean {
  return notes.filter((note) => covered.has(note)).length * 2 > notes.length;
}
