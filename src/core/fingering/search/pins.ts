import type { Line } from "../../passage/line";
import type { PinnedDigits } from "../candidates";
import type { Digits, Fingering, Pins } from "../fingering";
import type { Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";

/** Pins by stroke. A pin on any note of a unison holds for its stroke; the first named wins. */
export function pinnedDigits(line: Line, pins: Pins): PinnedDigits {
  return digitsOf(line, pins);
}

/** A fingering by stroke, 0 where it names none. */
export function digitsOf(line: Line, fingering: Fingering): Digits {
  return Int8Array.from(line.strokes, ({ notes }) => {
    for (const id of notes) if (fingering[id]) return fingering[id];
    return 0;
  });
}

/** A line's digits by note; null where no finger plays. */
export function fingeringOf(line: Line, digits: Digits): Fingering {
  const fingering: Record<NoteId, Finger | null> = {};
  for (const { notes, index } of line.strokes) {
    for (const id of notes) fingering[id] = (digits[index] || null) as Finger | null;
  }
  return fingering;
}
