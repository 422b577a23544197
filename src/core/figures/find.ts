import { FIGURE } from "../physics";
import type { Study } from "../fingering/study/study";
import { goOneWayBySteps } from "../keyboard/interval";
import { answersBetween, figureFrom, melodiesOf, notesFrom, worthOf, type Answer } from "./answers";
import type { Figure } from "./figure";
import type { Melody } from "./melody";
import type { RelationName } from "./relations";

/**
 * The figures of a passage that come again, in the order of what they cover, each with its returns.
 *
 * A stated rule: all runs of onsets that answer others are listed, by every relation; the one that covers most
 * notes, weighed by its relation, becomes a figure (no longer than its distance to its return) with every other
 * place that answers it whole and does not overlap; then the next, as long as most of its notes are in none so far. Last come
 * the short ones, as the bars of a waltz: on the same keys or by octaves alone.
 * Plain steps in one direction are a figure only where they return on the same keys or by octaves.
 */
export function figuresOf(study: Study): readonly Figure[] {
  const melodies = melodiesOf(study);
  const answers = melodies.flatMap((one, i) =>
    melodies.slice(i).flatMap((other) => weighed(answersBetween(one, other, { least: FIGURE.leastOnsetsAlike }))),
  );
  const figures: Figure[] = [];
  const covered = new Set<string>();
  for (const answer of [...answers].sort((a, b) => Number(isShort(a)) - Number(isShort(b)) || b.worth - a.worth)) {
    const length = lengthOf(answer);
    const later = untilBeat(answer, length);
    if (isMostlyIn(covered, notesFrom(answer.figure, answer.from + later, length))) continue;
    if (isMostlyIn(covered, notesFrom(answer.answer, answer.to + later, length))) continue;
    const told = length < FIGURE.leastOnsets ? answers.filter(({ relation }) => isOnLikeKeys(relation)) : answers;
    const figure = figureFrom(answer.figure, answer.from + later, length, told);
    figures.push(figure);
    for (const { notes } of [figure, ...figure.returns]) for (const note of notes) covered.add(note);
  }
  return figures;
}

interface Weighed extends Answer {
  /** Notes it covers, weighed. */
  readonly worth: number;
}

/** The answers that are long and plain enough to make a figure. */
function weighed(answers: readonly Answer[]): readonly Weighed[] {
  return answers.flatMap((answer): readonly Weighed[] => {
    const { figure, from, relation, length } = answer;
    const own = lengthOf(answer);
    // With the onset that follows: plain steps after which it begins anew are a sequence.
    const unchanged = isOnLikeKeys(relation) ? FIGURE.leastOnsetsAlike : FIGURE.leastOnsets;
    const least = answer.changed.length > 0 ? FIGURE.leastOnsetsChanged : unchanged;
    if (own < least || !isFigure(figure, from, own + 1, relation)) return [];
    return [{ ...answer, worth: length * worthOf(answer) }];
  });
}

/**
 * Whether onsets, with the one that follows the last of the figure, are more than one key again and again, or, where the keys
 * feel different or the figure is short, plain steps one way.
 */
function isFigure({ moments }: Melody, from: number, length: number, relation: RelationName): boolean {
  const keys = moments.slice(from, from + length).map((m) => m.keys);
  if (keys.every((k) => k.join() === keys[0]!.join())) return false;
  if (
    (isOnLikeKeys(relation) && length > FIGURE.leastOnsets) ||
    keys.some((k) => k.length > 2 || k.length !== keys[0]!.length)
  )
    return true;
  // One key again and again, and then another: the fingers that take turns on it had better be the same on each.
  if (keys.slice(0, -1).every(([key]) => key === keys[0]![0])) return true;
  // A key struck again moves nowhere.
  const moves = keys.slice(1).flatMap(([key], i) => key! - keys[i]![0]! || []);
  return !goOneWayBySteps(moves);
}

/** Whether it returns on the same keys or by octaves. */
function isOnLikeKeys(relation: RelationName): boolean {
  return relation === "exact" || relation === "octave";
}

/** Whether it makes a figure of so few onsets that it is one only where no longer one is, unless it comes at once and once more. */
function isShort(answer: Answer): boolean {
  const own = lengthOf(answer);
  return own < FIGURE.leastOnsets && answer.length < 2 * own;
}

/** Onsets of the figure that an answer makes: no longer than its distance to it. */
function lengthOf({ figure, answer, from, to, length }: Answer): number {
  return figure === answer ? Math.min(length, to - from) : length;
}

/**
 * Onsets by which a figure that follows itself begins later than its answer does: what sounds like it before may be what led up to
 * it. It begins on a beat where that costs none of its times.
 */
function untilBeat({ figure, answer, from, to, length }: Answer, own: number): number {
  if (figure !== answer || to - from !== own) return 0;
  const spare = length % own;
  const moments = figure.moments.slice(from, from + spare + 1);
  return Math.max(
    0,
    moments.findIndex(({ onBeat }) => onBeat),
  );
}

function isMostlyIn(covered: ReadonlySet<string>, notes: readonly string[]): boolean {
  return notes.filter((note) => covered.has(note)).length * 2 > notes.length;
}
