import type { Memory } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import type { Line } from "../passage/line";
import type { NoteId } from "../passage/note";
import { FIGURE } from "../physics";
import { Stretch } from "./stretch";
import { worthOfKeeping, type Tying } from "./tying";

/** A run up or down that turns and goes back over the keys it came by. */
export interface WayBack {
  /** Key by key from the turn outwards, the note on the way there and the one on the way back. */
  readonly pairs: readonly { readonly there: NoteId; readonly back: NoteId }[];
}

/**
 * Where the lines of a study go there and back: at least FIGURE.leastWayBack onsets in one direction, up to a turn of a single
 * onset, and as many back over the same keys. From left to right; in whatever time they are played.
 */
export function waysBackOf(study: Study): readonly WayBack[] {
  return waysOf(study, (_, __, reach) => reach >= FIGURE.leastWayBack);
}

/** The shorter ones, of FIGURE.leastTurn onsets or more, whose keys lie under one hand. */
export function turnsOf(study: Study): readonly WayBack[] {
  return waysOf(study, (task, turn, reach) => {
    if (reach < FIGURE.leastTurn || reach >= FIGURE.leastWayBack) return false;
    const stretch = new Stretch(task, turn - reach);
    return Array.from({ length: reach + 1 }, (_, i) => turn - reach + i).every((index) => stretch.takes(index));
  });
}

function waysOf(study: Study, isWanted: (task: Task, turn: number, reach: number) => boolean): readonly WayBack[] {
  return tasksOf(study).flatMap((task) =>
    task.line.onsets.flatMap(({ index }) => {
      const reach = reachOf(task.line, index);
      if (!isWanted(task, index, reach)) return [];
      const pairs = Array.from({ length: reach }, (_, i) => pairsOf(task.line, index - i - 1, index + i + 1));
      return [{ pairs: pairs.flat() }];
    }),
  );
}

/**
 * What it is worth, note by note, that the way back is fingered as the way there. The two ends of a run are free: beyond them the
 * line goes on otherwise, or not at all; those of a turn under one hand are not, for the hand lies over them too.
 */
export function waysBackRemembered(study: Study, tying: Tying): readonly Memory[] {
  if (tying === "none") return [];
  const worth = FIGURE.worthOfWayBack * worthOfKeeping(study, tying);
  const runs = waysBackOf(study).flatMap(({ pairs }) => pairs.slice(0, -1));
  const turns = turnsOf(study).flatMap(({ pairs }) => pairs);
  return [...runs, ...turns].map(({ there, back }) => ({ note: there, returns: [{ note: back, worth }] }));
}

/** Onsets to either side of a turn that are struck on the same keys, and all go one way. */
function reachOf(line: Line, turn: number): number {
  let reach = 0;
  const toTheTurn = stepTo(line, turn - 1, turn);
  if (toTheTurn === 0) return 0;
  while (isSame(line, turn - reach - 1, turn + reach + 1) && stepTo(line, turn - reach - 1, turn - reach) === toTheTurn)
    reach++;
  return reach;
}

/** 1 up, -1 down, 0 on one key, from one onset to another that both are; else null. */
function stepTo({ onsets }: Line, from: number, to: number): number | null {
  const [a, b] = [onsets[from]?.struck[0], onsets[to]?.struck[0]];
  return a && b ? Math.sign(b.key - a.key) : null;
}

function isSame({ onsets }: Line, there: number, back: number): boolean {
  const [a, b] = [onsets[there]?.struck, onsets[back]?.struck];
  return a !== undefined && b !== undefined && a.length === b.length && a.every(({ key }, i) => key === b[i]!.key);
}

function pairsOf({ onsets }: Line, there: number, back: number): WayBack["pairs"] {
  return onsets[there]!.struck.map((stroke, i) => ({
    there: stroke.notes[0]!,
    back: onsets[back]!.struck[i]!.notes[0]!,
  }));
}
