import { carryTime } from "../../fingering/cost/fitts";
import { framesOf } from "../../fingering/cost/price";
import { travelBetween } from "../../fingering/cost/travel";
import { digitsOf } from "../../fingering/search/terms";
import type { Fingering } from "../../fingering/study/fingering";
import { tasksOf } from "../../fingering/study/study";
import { whiteWidth } from "../../keyboard/geometry";
import type { NoteId } from "../../passage/note";
import { KEYBOARD, OWN } from "../../physics";
import type { Heard, NoteHeard } from "../heard";

/**
 * How long the hand took for its ways in a take, in times of what it is usually given: from the last key of one onset that
 * came up to the first of the next that went down. Only ways of some length, both ends struck rightly, and only where the
 * music leaves no more than twice the usual time: elsewhere a hand may take its time.
 */
export function waysOf({ study, struck }: Heard, fingering: Fingering): readonly number[] {
  const heard = new Map<NoteId, NoteHeard>();
  for (const { notes } of struck) for (const one of notes) for (const id of one.note.notes) heard.set(id, one);
  return tasksOf(study).flatMap((task) => {
    const frames = framesOf(task, digitsOf(task.line, fingering));
    return frames.slice(1).flatMap((now, i) => {
      const before = frames[i]!;
      const mm = travelBetween(task.hand, before, now);
      if (mm < OWN.leastMm) return [];
      const width = now.struck[0]?.black ? KEYBOARD.blackTopWidth : whiteWidth(task.instrument);
      const usual = carryTime(mm, width);
      if (now.onset.gap > 2 * usual) return [];
      const left = before.onset.struck.map(({ notes }) => heard.get(notes[0]!));
      const met = now.onset.struck.map(({ notes }) => heard.get(notes[0]!));
      if (![...left, ...met].every((one) => one?.isRight)) return [];
      const up = Math.max(...left.map((one) => one!.key.upMs ?? Infinity));
      const ms = Math.min(...met.map((one) => one!.key.downMs)) - up;
      return Number.isFinite(ms) && ms > 0 ? [ms / usual] : [];
    });
  });
}

/**
 * Times as long as usual that a player's hand needs for its way: what its quicker ways took, not the quickest, for that is
 * chance. null for fewer ways than tell anything, and where it is what it is now.
 * @param now times the usual that it is given already
 */
export function ownMovement(ways: readonly number[], now = 1): number | null {
  if (ways.length < OWN.leastWays) return null;
  const sorted = [...ways].sort((a, b) => a - b);
  const [least, most] = OWN.movementRange;
  const times = sorted[Math.floor(OWN.quickest * (sorted.length - 1))]!;
  const own = Math.round(100 * Math.min(most, Math.max(least, times))) / 100;
  return Math.abs(own / now - 1) < OWN.leastChange ? null : own;
}
