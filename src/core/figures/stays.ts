import type { Stay } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import type { Line } from "../passage/line";
import { STAY } from "../physics";
import { feelsTheSame, isMovedAlong, type Figure } from "./figure";
import { patternsOf } from "./patterns";
import { isWithin, onsetsOf, type Range } from "./range";
import { keysFrom, Stretch } from "./stretch";
import { struckAgainIn } from "./struck-again";
import { worthOfKeeping, type Tying } from "./tying";

/**
 * Where the hand stays: stretches in which a few keys that lie under one hand are struck again and again, so that a pianist puts
 * the hand on them as on a chord, and each key keeps its finger; or where it is set down on five neighbouring keys. From left to right, each as long as it may be. Where a figure is
 * moved along the hand moves with it: a stay lies within it, or holds it with all that it is moved to. Where keys are struck again
 * by fingers in turn the hand is drawn over them, and does not stay.
 * What that is worth is weights.memory, more where each finger has its key, and memoryAsked times that where the player wants every
 * figure kept.
 * @param figures those of the study
 */
export function staysOf(study: Study, figures: readonly Figure[], tying: Tying = "alike"): readonly Stay[] {
  if (tying === "none") return [];
  const worth = worthOfKeeping(study, tying);
  const drawn = new Set(struckAgainIn(study).flat(2));
  return tasksOf(study).flatMap((task) => {
    const stays: Stay[] = [];
    const parts = partsOf(task.line, figures);
    const isDrawn = (index: number): boolean =>
      task.line.onsets[index]!.struck.some(({ notes }) => drawn.has(notes[0]!));
    for (let from = 0; from < task.line.onsets.length;) {
      const found = isDrawn(from) ? null : longestFrom(task, from, parts, isDrawn);
      if (found !== null) {
        const keys = keysFrom(task.line, from, found.end);
        stays.push({ keys, worth: found.isFiveFingers ? worth * STAY.worthOfFive : worth });
      }
      from = found?.end ?? from + 1;
    }
    return stays;
  });
}

/** What a stay does not cut: a figure that is moved along, or a return of it, with the onsets of it all; or a pattern. */
interface Part extends Range {
  readonly all: Range;
  /** The keys of a pattern. */
  readonly pattern: string | null;
}

/** By onset, the parts that it is in. */
type Parts = ReadonlyMap<number, readonly Part[]>;

function partsOf(line: Line, figures: readonly Figure[]): Parts {
  const rangeOf = onsetsOf(line);
  const moved = figures.flatMap(({ notes, returns }): Part[] => {
    const elsewhere = returns.filter((given) => given.by !== 0 && (feelsTheSame(given) || isMovedAlong(given)));
    const ranges = elsewhere.length > 0 ? [notes, ...elsewhere.map((given) => given.notes)] : [];
    const all = rangeOf(ranges.flat());
    return ranges.map((of) => ({ ...rangeOf(of), all, pattern: null }));
  });
  const patterns = patternsOf(line).map(({ keys, first, last }): Part => {
    const all = { first, last };
    return { ...all, all, pattern: keys.join() };
  });
  const parts = new Map<number, Part[]>();
  for (const part of [...moved, ...patterns])
    for (let onset = part.first; onset <= part.last; onset++) {
      const known = parts.get(onset);
      if (known) known.push(part);
      else parts.set(onset, [part]);
    }
  return parts;
}

/** The longest stay that begins at an onset, none of it drawn over, by the onset after it; null where none does. */
function longestFrom(
  task: Task,
  from: number,
  parts: Parts,
  isDrawn: (index: number) => boolean,
): { readonly end: number; readonly isFiveFingers: boolean } | null {
  const { onsets } = task.line;
  const stretch = new Stretch(task, from);
  const touched = new Set<Part>();
  let found: ReturnType<typeof longestFrom> = null;
  for (let index = from; index < onsets.length && (found !== null || index < from + STAY.shownWithin); index++) {
    if (isDrawn(index) || !stretch.takes(index)) return found;
    for (const part of parts.get(index) ?? []) touched.add(part);
    const stay = { first: from, last: index };
    const patterns = [...touched].filter(({ pattern }) => pattern !== null);
    // With another pattern the hand is set down anew.
    if (patterns.some(({ pattern }) => pattern !== patterns[0]!.pattern)) return found;
    const isPattern = patterns.some((part) => isWithin(part, stay) && isWithin(stay, part));
    if (!isPattern && !stretch.isStay(index)) continue;
    if ([...touched].every((part) => isWithin(stay, part) || isWithin(part.all, stay)))
      found = { end: index + 1, isFiveFingers: stretch.isFiveFingers(index) };
  }
  return found;
}
