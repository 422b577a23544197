import type { NoteId } from "../passage/note";
import { SNIP } from "../physics";
import type { OnsetExpected } from "./expected";

/** A few notes of a passage that are played by themselves: the first note of its first onset and of its last. */
export interface Snip {
  readonly from: NoteId;
  readonly to: NoteId;
}

/** Onsets by their indices, both ends included. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** A snip that is worked on: what was asked for, and what of it is played now. */
export interface SnipInHand {
  readonly asked: Stretch;
  readonly now: Stretch;
}

/**
 * A snip to begin with, at some onsets; longer than a snip can be, its middle is taken, and shorter, it is widened.
 * @param onsets how many the passage has
 * @returns null in a passage of fewer than two
 */
export function snipAt({ from, to }: Stretch, onsets: number): SnipInHand | null {
  if (onsets < SNIP.least) return null;
  const length = Math.min(onsets, Math.max(SNIP.least, Math.min(SNIP.most, to - from + 1)));
  const middle = (from + to) / 2;
  const first = Math.max(0, Math.min(onsets - length, Math.ceil(middle - (length - 1) / 2 - 0.5)));
  const asked = { from: first, to: first + length - 1 };
  return { asked, now: asked };
}

/**
 * What is played next: a note fewer after a take that was not clean, until two are left, and a note more after a clean one,
 * until all that was asked for is played. It is shortened at the end that lies farther from where it failed, and grown at
 * the end that has more to win.
 * @param failed index of an onset at which it failed; null where that is not known, or it was clean
 */
export function nextSnip({ asked, now }: SnipInHand, isClean: boolean, failed: number | null = null): SnipInHand {
  const [before, after] = [now.from - asked.from, asked.to - now.to];
  if (isClean) {
    if (before === 0 && after === 0) return { asked, now };
    return { asked, now: after >= before ? { ...now, to: now.to + 1 } : { ...now, from: now.from - 1 } };
  }
  if (now.to - now.from + 1 <= SNIP.least) return { asked, now };
  const at = failed ?? (asked.from + asked.to) / 2;
  return { asked, now: at - now.from > now.to - at ? { ...now, from: now.from + 1 } : { ...now, to: now.to - 1 } };
}

/** The snip of some onsets, by its notes. @throws RangeError where there are no such onsets */
export function snipOf(onsets: readonly OnsetExpected[], { from, to }: Stretch): Snip {
  const [first, last] = [onsets[from]?.notes[0], onsets[to]?.notes[0]];
  if (!first || !last) throw new RangeError(`There are no onsets ${from} to ${to} of ${onsets.length}.`);
  return { from: first.id, to: last.id };
}

/** The onsets of a snip, counted anew from its first; all of them where there is none, or its notes are gone. */
export function onsetsIn(onsets: readonly OnsetExpected[], snip: Snip | null): readonly OnsetExpected[] {
  if (snip === null) return onsets;
  const place = (note: NoteId): number => onsets.findIndex(({ notes }) => notes.some((n) => n.notes.includes(note)));
  const [from, to] = [place(snip.from), place(snip.to)];
  if (from < 0 || to < from) return onsets;
  const start = onsets[from]!.at;
  return onsets.slice(from, to + 1).map((onset, index) => ({ ...onset, index, at: onset.at - start }));
}
