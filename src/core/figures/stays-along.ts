import type { Stay } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import type { Line } from "../passage/line";
import { STAY } from "../physics";
import { isMovedAlong, type Figure } from "./figure";
import { liesAcross, onsetsOf, type Range } from "./range";
import { keysFrom, Stretch } from "./stretch";
import { struckAgainIn } from "./struck-again";
import { worthOfKeeping, type Tying } from "./tying";

/**
 * The stays along figures that are moved: where a figure is followed by itself on other steps, the hand is set down anew each time
 * as on a chord, and stays until the next, if it lies under one hand: worth STAY.worthAlong times as much as other stays. So it is on
 * the broken chords of an accompaniment, worth as much as others, but for those that lie across the times of such a figure. None
 * where the hand stays in any case, or is drawn over keys that fingers in turn strike again.
 * @param figures those of the study
 * @param stays what staysOf finds
 */
export function staysAlong(
  study: Study,
  figures: readonly Figure[],
  stays: readonly Stay[],
  tying: Tying = "alike",
): readonly Stay[] {
  if (tying === "none") return [];
  const worth = worthOfKeeping(study, tying);
  const drawn = struckAgainIn(study).map((groups) => groups.flat());
  return tasksOf(study).flatMap((task) => {
    const { line } = task;
    const rangeOf = onsetsOf(line);
    const taken = new Set<number>();
    const take = ({ first, last }: Range): void => {
      for (let index = first; index <= last; index++) taken.add(index);
    };
    for (const notes of [...drawn, ...stays.map(({ keys }) => keys.flat())]) take(rangeOf(notes));
    const parts = partsOf(figures, line);
    const groups = line.groups.filter(
      (range) =>
        (isChord(task, range) || isOfSingleNotes(line, range)) && !parts.some((part) => liesAcross(range, part)),
    );
    const stayOn = (range: Range, times: number): readonly Stay[] => {
      if (!isUnderTheHand(task, range, taken)) return [];
      take(range);
      return [{ keys: keysFrom(line, range.first, range.last + 1), worth: times * worth }];
    };
    return [
      ...parts.filter((range) => isChord(task, range)).flatMap((range) => stayOn(range, STAY.worthAlong)),
      ...groups.flatMap((range) => stayOn(range, 1)),
    ];
  });
}

/** The figures of a line that are moved along and all that they are moved to, each by itself. */
function partsOf(figures: readonly Figure[], line: Line): readonly Range[] {
  const rangeOf = onsetsOf(line);
  return figures
    .filter(({ side }) => side === line.side)
    .flatMap(({ notes, returns }) => {
      if (!returns.some(isMovedAlong)) return [];
      const followed = returns.filter(
        (given) =>
          isMovedAlong(given) || (given.inSequence && given.relation === "exact" && given.changed.length === 0),
      );
      return [notes, ...followed.map((given) => given.notes)].map(rangeOf);
    });
}

/** Whether one hand lies over some onsets as over a chord. */
function isChord(task: Task, range: Range): boolean {
  const stretch = stretchOver(task, range);
  return stretch?.isChord() ?? false;
}

/** Whether some onsets are a chord that is broken note by note. */
function isOfSingleNotes({ onsets }: Line, { first, last }: Range): boolean {
  return onsets.slice(first, last + 1).every(({ struck }) => struck.length === 1);
}

/** Whether one hand lies over some onsets, of which none is taken. */
function isUnderTheHand(task: Task, range: Range, taken: ReadonlySet<number>): boolean {
  for (let index = range.first; index <= range.last; index++) if (taken.has(index)) return false;
  return stretchOver(task, range) !== null;
}

/** Some onsets, if they lie under one hand. */
function stretchOver(task: Task, { first, last }: Range): Stretch | null {
  const stretch = new Stretch(task, first);
  for (let index = first; index <= last; index++) if (!stretch.takes(index)) return null;
  return stretch;
}
