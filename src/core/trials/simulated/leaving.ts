import { carryTime } from "../../fingering/cost/fitts";
import { framesOf } from "../../fingering/cost/price";
import { travelBetween } from "../../fingering/cost/travel";
import { digitsOf } from "../../fingering/search/terms";
import type { Fingering } from "../../fingering/study/fingering";
import { tasksOf, type Study } from "../../fingering/study/study";
import { whiteWidth } from "../../keyboard/geometry";
import type { NoteId } from "../../passage/note";
import { KEYBOARD } from "../../physics";

/**
 * ms for which each note can sound at the most, counted from its onset, where the hand must then be carried: it lets go in
 * time to be where it plays next. Notes that the hand need not leave are not there.
 */
export function leavingOf(study: Study, fingering: Fingering): ReadonlyMap<NoteId, number> {
  const leaving = new Map<NoteId, number>();
  for (const task of tasksOf(study)) {
    const frames = framesOf(task, digitsOf(task.line, fingering));
    frames.slice(1).forEach((now, i) => {
      const before = frames[i]!;
      const mm = travelBetween(task.hand, before, now);
      if (mm === 0) return;
      const width = now.struck[0]?.black ? KEYBOARD.blackTopWidth : whiteWidth(task.instrument);
      const most = now.onset.ms - before.onset.ms - carryTime(mm, width, task.hand.movement);
      for (const { notes } of before.onset.struck) for (const id of notes) leaving.set(id, most);
    });
  }
  return leaving;
}
