import type { Memory } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Onset } from "../passage/line";
import type { NoteId } from "../passage/note";
import { FIGURE, MOTION } from "../physics";
import { worthOfKeeping, type Tying } from "./tying";

/** Groups of as many notes that follow one another, each the strokes of one key running; two groups at least. */
export type StruckAgain = readonly (readonly NoteId[])[];

/**
 * Where a study strikes one key again and again, FIGURE.leastStruckAgain times at least and so fast that fingers had better take
 * turns, and then another as often; or the same for beats on end, beat by beat: alike in each group.
 */
export function struckAgainIn(study: Study): readonly StruckAgain[] {
  return alikeIn(study, (groups) => groups.length > 1 && groups.every(isFast));
}

/** Where it strikes three keys running or more as often, but slower: one finger had better strike each. */
function struckSlowlyIn(study: Study): readonly StruckAgain[] {
  return alikeIn(study, (groups) => groups.length > 2 && !groups.every(isFast));
}

/** Groups of as many strokes that follow one another, of which something holds. */
function alikeIn(study: Study, holds: (groups: readonly (readonly Onset[])[]) => boolean): readonly StruckAgain[] {
  return tasksOf(study).flatMap(({ line }) =>
    cut(groupsOf(line.onsets), (before, group) => before.length !== group.length)
      .filter((groups) => groups[0]!.length >= FIGURE.leastStruckAgain && holds(groups))
      .map((groups) => groups.map((group) => group.map(({ struck }) => struck[0]!.notes[0]!))),
  );
}

/** What it is worth, note by note, that each group is fingered as the one before; or that one finger strikes a key each time. */
export function struckAgainRemembered(study: Study, tying: Tying): readonly Memory[] {
  if (tying === "none") return [];
  const worth = worthOfKeeping(study, tying);
  const inTurn = struckAgainIn(study).flatMap((groups) => {
    const isShort = groups.length === 2 && groups[0]!.length === 2;
    return groups.slice(1).flatMap((group, i) =>
      group.map((note, place) => ({
        note: groups[i]![place]!,
        returns: [{ note, worth: isShort ? worth * FIGURE.worthOfTwoTwice : worth }],
      })),
    );
  });
  const byOne = struckSlowlyIn(study).flatMap((groups) =>
    groups.map(([note, ...again]) => ({ note: note!, returns: again.map((other) => ({ note: other, worth })) })),
  );
  return [...inTurn, ...byOne];
}

/** Onsets by runs of one key; a run that begins with a beat and has as many strokes in each but the last, by beats. */
function groupsOf(onsets: readonly Onset[]): readonly (readonly Onset[])[] {
  return cut(onsets, (before, onset) => !isOneKey(before, onset)).flatMap((run) => {
    const beats = cut(run, (_, onset) => onset.pulse !== "between");
    const isByBeats =
      run[0]!.pulse !== "between" && beats.slice(0, -1).every(({ length }) => length === beats[0]!.length);
    return isByBeats ? beats : [run];
  });
}

/** Whether fingers had better take turns at that speed. */
function isFast(group: readonly Onset[]): boolean {
  const ease = Math.max(...MOTION.repeatEase) * MOTION.takeTurns[group.length > 2 ? "more" : "two"];
  return group.slice(1).every(({ gap }) => 1000 / gap > ease);
}

/** A list in pieces: a new one wherever an entry does not go with the one before. */
function cut<T>(all: readonly T[], isNew: (before: T, next: T) => boolean): readonly (readonly T[])[] {
  const pieces: T[][] = [];
  for (const next of all) {
    const last = pieces.at(-1);
    if (last === undefined || isNew(last.at(-1)!, next)) pieces.push([next]);
    else last.push(next);
  }
  return pieces;
}

function isOneKey({ struck: [a, ...more] }: Onset, { struck: [b, ...others] }: Onset): boolean {
  return a!.key === b!.key && more.length + others.length === 0;
}
