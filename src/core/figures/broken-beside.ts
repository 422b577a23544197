import type { Memory } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import { brokenBeside } from "../passage/broken-beside";
import type { Onset } from "../passage/line";
import type { NoteId } from "../passage/note";
import { MOTION } from "../physics";
import { worthOfKeeping, type Tying } from "./tying";

/** Notes of a whole chord, and those that strike its keys again one by one, just before or after it. */
type Broken = ReadonlyMap<NoteId, readonly NoteId[]>;

/** The whole chords of a study that are broken as well, just before or after: two of their keys at least, one by one. */
export function brokenBesideIn(study: Study): readonly Broken[] {
  return tasksOf(study).flatMap(({ line: { onsets } }) =>
    onsets
      .filter(({ struck }) => struck.length >= MOTION.wholeFrom)
      .flatMap((chord) => [brokenFrom(chord, onsets, 1), brokenFrom(chord, onsets, -1)])
      .filter((broken) => broken.size > 0),
  );
}

/** What it is worth, note by note, that a chord is broken with the fingers that strike it whole. */
export function brokenRemembered(study: Study, tying: Tying): readonly Memory[] {
  if (tying === "none") return [];
  const worth = worthOfKeeping(study, tying);
  return brokenBesideIn(study).flatMap((broken) =>
    [...broken].map(([note, again]) => ({ note, returns: again.map((other) => ({ note: other, worth })) })),
  );
}

/** By the notes of a chord, the single notes after it, or before it, that strike their keys again. */
function brokenFrom({ struck, index }: Onset, onsets: readonly Onset[], way: 1 | -1): Broken {
  const broken = new Map<NoteId, NoteId[]>();
  for (const at of brokenBeside(onsets, index, way)) {
    const one = onsets[at]!.struck[0]!;
    const own = struck.find(({ key }) => key === one.key)!.notes[0]!;
    broken.set(own, [...(broken.get(own) ?? []), one.notes[0]!]);
  }
  return broken;
}
