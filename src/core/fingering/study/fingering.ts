import type { Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";

/** A finger for each note; null where no finger can play it. Notes not named are not yet fingered. */
export type Fingering = Readonly<Record<NoteId, Finger | null>>;

/** Fingers the player has fixed. */
export type Pins = Readonly<Record<NoteId, Finger>>;

/** A finger for each stroke of a line by Stroke.index; 0 where none plays it. */
export type Digits = Int8Array;

/** The notes on which two fingerings differ, in the order given. */
export function differences(notes: readonly NoteId[], a: Fingering, b: Fingering): readonly NoteId[] {
  return notes.filter((id) => (a[id] ?? null) !== (b[id] ?? null));
}
