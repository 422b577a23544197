import { FINGERS } from "../hand/finger";
import type { NoteId } from "../passage/note";
import { tasksOf, type Study } from "./study";

/** Why no finger plays a note, in a sentence. */
export function reasonForNone(study: Study, note: NoteId): string {
  for (const { line, hand } of tasksOf(study)) {
    const stroke = line.strokes.find((s) => s.notes.includes(note));
    if (!stroke) continue;
    const free = FINGERS.length - hand.resting.length;
    const chord = line.onsets[stroke.onset]!.struck.length;
    if (free === 0) return `Every finger of the ${line.side} hand is resting.`;
    if (chord > free) return `The ${line.side} hand strikes ${chord} keys here and has ${free} fingers.`;
    return `The ${line.side} hand cannot hold this chord: its widest opening is ${Math.round(hand.keySpan)} mm between contact points.`;
  }
  return "Neither hand is asked to play this note.";
}
