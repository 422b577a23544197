import type { NoteId } from "../../passage/note";
import type { Pitch } from "../../keyboard/pitch";
import { mmBetween } from "../cost/pairs";
import { framesOf } from "../cost/price";
import type { Fingering, Pins } from "../study/fingering";
import type { Frame, Press } from "../frames/frame";
import { positionsOf } from "./positions";
import { digitsOf } from "../search/terms";
import { tasksOf, type Study } from "../study/study";

/**
 * The notes whose digits a pianist would write: those that are pinned, the first of each position, and those that
 * depart from the obvious. Obvious is the same finger on the same key, and the next finger on the next step of the
 * scale; of chords, the same fingers on the same keys. All others can be read off the digits before them.
 */
export function notesInDoubt(study: Study, fingering: Fingering, pins: Pins): ReadonlySet<NoteId> {
  const doubtful = new Set(Object.keys(pins) as NoteId[]);
  const firsts = new Set(positionsOf(study, fingering).map((p) => p.notes[0]!));
  for (const task of tasksOf(study)) {
    const frames = framesOf(task, digitsOf(task.line, fingering));
    frames.forEach((now, i) => {
      const notes = now.onset.struck.flatMap((s) => s.notes);
      const begins = notes.some((id) => firsts.has(id));
      if (begins || !isObvious(frames[i - 1] ?? null, now)) for (const id of notes) doubtful.add(id);
    });
  }
  return doubtful;
}

function isObvious(before: Frame | null, now: Frame): boolean {
  if (before === null) return false;
  const [from, to] = [before.struck, now.struck];
  if (from.length !== to.length || to.length === 0 || now.changed.length > 0) return false;
  if (to.length > 1) return to.every((p, i) => p.key === from[i]!.key && p.finger === from[i]!.finger);
  return isNext(from[0]!, to[0]!);
}

/** Whether one finger after another is what the keys suggest: a step a finger, the same key the same finger. */
function isNext(from: Press, to: Press): boolean {
  const fingers = to.finger - from.finger;
  if (fingers === 0) return from.key === to.key;
  const steps = Math.abs(letter(to.key) - letter(from.key));
  const isSameWay = Math.sign(mmBetween(from, to)) === Math.sign(fingers);
  return isSameWay && Math.abs(fingers) === steps;
}

/** Steps of the scale from the lowest C, a black key at the white one below it. */
function letter(key: Pitch): number {
  return Math.floor(key / 12) * 7 + [0, 0, 1, 1, 2, 3, 3, 4, 4, 5, 5, 6][key % 12]!;
}
