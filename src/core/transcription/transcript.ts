import type { WrittenPitch } from "../entry/spelling";
import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import type { Beats } from "../time/beats";
import type { BarHeard } from "./bars";
import type { DoubtKind } from "./choices";
import type { Cell } from "./grid";
import type { Time } from "./heard";

/** A note as it is to be written. */
export interface NoteHeard {
  /** Place among the keys of the file. */
  readonly index: number;
  readonly key: Pitch;
  readonly pitch: WrittenPitch;
  readonly at: Beats;
  /** 0 for a grace note. */
  readonly length: Beats;
  /** -1 for a grace note just before its note, -2 for one before that; 0 for every other. */
  readonly grace: number;
  readonly isTrill: boolean;
  readonly side: Side;
  /** Of its hand, 0 for the first. */
  readonly voice: number;
}

/** Something that could as well be otherwise, in words. */
export interface Doubt {
  readonly key: number;
  /** The key that was struck, and where it is written, in quarter notes from the start of the piece. */
  readonly pitch: Pitch;
  readonly at: Beats;
  readonly doubt: DoubtKind;
  /** Number of the bar as written, and quarter notes into it. */
  readonly bar: number;
  readonly beat: Beats;
  readonly name: string;
  /** As it is written now, and as it would be. */
  readonly now: string;
  readonly otherwise: string;
}

/** What was found out of a file, with what it was taken from. */
export interface Guessed {
  readonly beat: "file" | "ear";
  readonly time: Time;
  /** Whether the file itself says so. */
  readonly isTimeStated: boolean;
  readonly upbeat: Beats;
  readonly fifths: number;
  readonly isSignatureStated: boolean;
  readonly hands: "tracks" | "cost";
  /** Whether the file has two tracks that could be the hands. */
  readonly hasTwoTracks: boolean;
  readonly finest: 8 | 16 | 32;
}

/** Music understood from a file of keys. */
export interface Transcript {
  readonly title: string | null;
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly bars: readonly BarHeard[];
  /** In order of time, the lowest first. */
  readonly notes: readonly NoteHeard[];
  readonly cells: readonly Cell[];
  readonly guessed: Guessed;
  readonly doubts: readonly Doubt[];
}
