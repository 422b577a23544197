import type { Side } from "../hand/finger";
import { isOnKeyboard, type Pitch } from "../keyboard/pitch";
import type { Beats } from "../time/beats";
import type { Note, NoteId } from "./note";

/** What a player has chosen to do with a note that a hand cannot hold as written, or not at ease. */
export type NoteRemedy =
  /** The key is met at the edge that faces the chord, with flat fingers, or leaning: the placement alone changes. */
  | { readonly kind: "edges" | "flat" | "lean" }
  | { readonly kind: "other-hand"; readonly hand: Side }
  | Rolled
  | { readonly kind: "omit" }
  /** Moved towards the rest of the chord by octaves. */
  | { readonly kind: "fold"; readonly octaves: 1 | -1 }
  /** Let go after so many quarter notes; the pedal sounds on. */
  | { readonly kind: "shorter"; readonly duration: Beats };

interface Rolled {
  readonly kind: "roll";
  /** Strokes from the beat: 0 on it, negative before it, positive after it. */
  readonly place: number;
  /** ms from one stroke to the next. */
  readonly stepMs: number;
  /** Whether the pedal sounds on what the hand lets go. */
  readonly caught: boolean;
}

export type RemedyKind = NoteRemedy["kind"];
export type NoteRemedies = Readonly<Record<NoteId, NoteRemedy>>;

/** A note as it is played after its remedy; null where it is left out. */
export function remedied(note: Note, remedy: NoteRemedy | undefined): Note | null {
  switch (remedy?.kind) {
    case undefined:
    case "edges":
    case "flat":
    case "lean":
      return note;
    case "other-hand":
      return { ...note, hand: remedy.hand };
    case "roll":
      return { ...note, grace: remedy.place, rolled: { stepMs: remedy.stepMs, caught: remedy.caught } };
    case "omit":
      return null;
    case "fold":
      return { ...note, pitch: folded(note.pitch, remedy.octaves) };
    case "shorter":
      return { ...note, duration: remedy.duration };
  }
}

function folded(key: Pitch, octaves: 1 | -1): Pitch {
  const to = key + 12 * octaves;
  return isOnKeyboard(to) ? to : key;
}
