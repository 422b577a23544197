import type { Memory } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import { goOneWayBySteps } from "../keyboard/interval";
import type { Onset } from "../passage/line";
import { FIGURE, MOTION } from "../physics";
import { worthOfKeeping, type Tying } from "./tying";

/**
 * Where whole chords follow one another and all their notes go on one way by steps, as in triads up a scale, so that one shape of
 * the hand is carried along: runs of two chords at least.
 */
export function parallelChordsIn(study: Study): readonly (readonly Onset[])[] {
  return tasksOf(study).flatMap(({ line }) => {
    const runs: Onset[][] = [];
    for (const onset of line.onsets) {
      const run = runs.at(-1);
      if (run && areParallel(run.at(-1)!, onset)) run.push(onset);
      else runs.push([onset]);
    }
    return runs.filter(({ length }) => length > 1);
  });
}

/** What it is worth, note by note, that each chord is fingered as the one before. */
export function parallelChordsRemembered(study: Study, tying: Tying): readonly Memory[] {
  if (tying === "none") return [];
  const worth = worthOfKeeping(study, tying) * FIGURE.worthOfParallel;
  return parallelChordsIn(study).flatMap((run) =>
    run.slice(1).flatMap(({ struck }, i) =>
      struck.map(({ notes }, place): Memory => ({
        note: run[i]!.struck[place]!.notes[0]!,
        returns: [{ note: notes[0]!, worth }],
      })),
    ),
  );
}

/** Whether two onsets are whole chords of as many notes, each a step from the other's, all in one way. */
function areParallel({ struck: from }: Onset, { struck: to }: Onset): boolean {
  if (from.length < MOTION.wholeFrom || to.length !== from.length) return false;
  const by = to.map(({ key }, place) => key - from[place]!.key);
  return goOneWayBySteps(by);
}
