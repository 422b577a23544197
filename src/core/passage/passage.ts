import { SIDES, type Side } from "../hand/finger";
import { compare } from "../time/beats";
import type { Note } from "./note";
import { remedied, type NoteRemedies } from "./remedied";

export type Touch = "legato" | "detached";
export type Hands = Side | "both";

/** How a passage is to be played. */
export interface Manner {
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly touch: Touch;
  /** Whether the pedal may carry a note on after its finger has gone. */
  readonly pedal: boolean;
}

/** A hard spot: its notes, in order of onset and pitch, and the hands that are to play them. */
export interface Passage {
  readonly notes: readonly Note[];
  readonly hands: Hands;
  readonly staves: number;
  /** What the player has chosen to do where the notes as written cannot be held. */
  readonly remedies?: NoteRemedies;
}

/** The notes as they are played: every chosen remedy carried out, in order. */
export function playedNotes({ notes, remedies }: Passage): readonly Note[] {
  if (remedies === undefined || Object.keys(remedies).length === 0) return notes;
  return inOrder(notes.flatMap((note) => remedied(note, remedies[note.id]) ?? []));
}

/** Tempi outside this, in quarter notes a minute, are refused. */
export const TEMPO_RANGE = [10, 480] as const;

/** The order notes are listed in everywhere: onset, grace notes first, then pitch, staff and voice. */
export function inOrder(notes: readonly Note[]): readonly Note[] {
  return [...notes].sort(
    (a, b) =>
      compare(a.onset, b.onset) ||
      a.grace - b.grace ||
      a.pitch - b.pitch ||
      a.staff - b.staff ||
      (a.voice < b.voice ? -1 : a.voice > b.voice ? 1 : 0),
  );
}

/** Which hand plays a note: with one staff the hand asked for, with two the staff's own. */
export function handOf(note: Note, passage: Passage): Side {
  const remedy = passage.remedies?.[note.id];
  if (remedy?.kind === "other-hand") return remedy.hand;
  if (passage.staves === 1) return passage.hands === "left" ? "left" : "right";
  return note.staff === 1 ? "right" : "left";
}

/** The hands that have something to play, right first: those asked for, and one that takes a note from the other. */
export function handsAsked(passage: Passage): readonly Side[] {
  const asked = new Set<Side>(passage.hands === "both" ? (passage.staves === 1 ? ["right"] : SIDES) : [passage.hands]);
  for (const remedy of Object.values(passage.remedies ?? {})) if (remedy.kind === "other-hand") asked.add(remedy.hand);
  return SIDES.filter((side) => asked.has(side));
}
