import type { Time } from "./heard";

/** What may be doubtful about a note, and is turned to its other reading in one gesture. */
export const DOUBTS = ["place", "length", "spelling", "hand"] as const;
export type DoubtKind = (typeof DOUBTS)[number];

/** What the player says of how a file is to be heard; what they leave out is found out. */
export interface Choices {
  /** Whether the file's own count of quarter notes is the beat, or the beat is found by ear. */
  readonly beat?: "file" | "ear";
  readonly time?: Time;
  /** Quarter notes before the first bar line; 0 for none. */
  readonly upbeat?: number;
  readonly fifths?: number;
  /** The shortest plain value that is written, 8 to 32. */
  readonly finest?: 8 | 16 | 32;
  /** Whether the file's two tracks are the hands, or the hands are told apart by what they cost. */
  readonly hands?: "tracks" | "cost";
  /** Doubtful notes, by their place among the keys of the file, that are read the other way. */
  readonly turned?: readonly { readonly key: number; readonly doubt: DoubtKind }[];
}
