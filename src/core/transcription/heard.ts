import type { Pitch } from "../keyboard/pitch";

/** A key of a file of keys, in quarter notes as the file counts them and in ms. */
export interface KeyHeard {
  readonly key: Pitch;
  /** When it goes down and is let go, in quarter notes by the file's own count. */
  readonly at: number;
  readonly ends: number;
  /** The same in ms from the start of the file. */
  readonly ms: number;
  readonly msEnds: number;
  /** 1 to 127. */
  readonly velocity: number;
  /** The track or channel it comes from, counted from 0 among those that have keys. */
  readonly track: number;
}

/** What a file of keys says, before anything is understood of it. */
export interface Heard {
  readonly title: string | null;
  /** In the order in which they go down, the lowest first where they go down at once. */
  readonly keys: readonly KeyHeard[];
  /** Names of the tracks that have keys; "" for one without. */
  readonly tracks: readonly string[];
  /** Time signatures that the file states, each from a quarter note on. */
  readonly times: readonly { readonly at: number; readonly time: Time }[];
  /** Key signatures that it states: sharps positive, flats negative. */
  readonly signatures: readonly { readonly at: number; readonly fifths: number }[];
  /** Quarter notes a minute at the beginning. */
  readonly tempo: number;
  /** Parts that the file divides a quarter note into; null where it counts frames, not quarter notes. */
  readonly division: number | null;
}

export type Time = readonly [count: number, unit: number];
