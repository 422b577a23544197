import type { Memory } from "../fingering/search/conditions";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Onset } from "../passage/line";
import type { NoteId } from "../passage/note";
import { FIGURE, MOTION } from "../physics";
import { worthOfKeeping, type Tying } from "./tying";

/** Notes of a whole chord, and those that strike its keys again one by one, just before or after it. */
type Broken = ReadonlyMap<NoteId, readonly NoteId[]>;

/** The whole chords of a study that are broken as well, just before or after: two of their keys at least, one by one. */
export function brokenBesideIn(study: Study): readonly Broken[] {
  return tasksOf(study).flatMap(({ line: { onsets } }) =>
    onsets
      .filter(({ struck }) => struck.length >= MOTION.wholeFrom)
      .flatMap((chord) => [brokenFrom(chord, onsets, 1), brokenFrom(chord, onsets, -1)])
      .filter((broken) => broken.size >= FIGURE.leastBroken),
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

/**
 * Single notes on a chord's keys, onset by onset after it, or before it, as far as they follow one another; by its own notes. None
 * where they go on beyond the chord, as an arpeggio over several octaves does.
 */
function brokenFrom({ struck, index }: Onset, onsets: readonly Onset[], way: 1 | -1): Broken {
  const broken = new Map<NoteId, NoteId[]>();
  const [lowest, highest] = [struck[0]!.key, struck.at(-1)!.key];
  let last: number | null = null;
  for (let at = index + way; onsets[at]?.struck.length === 1; at += way) {
    const one = onsets[at]!.struck[0]!;
    const own = struck.find(({ key }) => key === one.key)?.notes[0];
    const isBeyond = (last === highest && one.key > highest) || (last === lowest && one.key < lowest);
    if (isBeyond) return new Map();
    if (own === undefined) break;
    broken.set(own, [...(broken.get(own) ?? []), one.notes[0]!]);
    last = one.key;
  }
  return broken;
}
