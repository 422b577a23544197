import type { Side } from "../hand/finger";
import { compare } from "../time/beats";
import type { Note } from "./note";

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
  if (passage.staves === 1) return passage.hands === "left" ? "left" : "right";
  return note.staff === 1 ? "right" : "left";
}

/** The hands that have something to play, right first. */
export function handsAsked(passage: Passage): readonly Side[] {
  if (passage.hands !== "both") return [passage.hands];
  return passage.staves === 1 ? ["right"] : ["right", "left"];
}
