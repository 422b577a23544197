import type { Metre } from "@/core/passage/metre";
import { beats, type Beats } from "@/core/time/beats";
import { remark, type FileIssue, type ScorePlace } from "../../issue";
import { textOf, type Element } from "../../xml/tree";
import type { NoteHead } from "../score";
import type { TempoMark } from "./tempo";
import type { Transposition } from "./transposition";

/** What goes on from bar to bar. */
export interface Running {
  divisions: number | null;
  metre: Metre;
  staves: number;
  tempo: number | null;
  readonly tempi: TempoMark[];
  /** Loudness last marked, by staff; 0 for a mark that names none. */
  readonly loudness: Map<number, number>;
  /** How what sounds differs from what is written, by staff; 0 for all. */
  readonly transpositions: Map<number, Transposition>;
}

/** A bar while it is read. */
export interface Growing {
  readonly index: number;
  readonly number: string;
  readonly start: Beats;
  readonly place: ScorePlace;
  readonly heads: NoteHead[];
  readonly issues: FileIssue[];
  /** Notes so far by staff and voice, for their order. */
  readonly orders: Map<string, number>;
  at: Beats;
  /** Onset of the note before, which a chord note shares. */
  last: Beats;
  /** Number of the stem that notes share. */
  stem: number;
  furthest: Beats;
}

/** How long an element lasts, in quarter notes; null where it does not say so properly. */
export function durationOf(element: Element, bar: Growing, running: Running): Beats | null {
  const text = textOf(element, "duration");
  if (text === null || !/^\d{1,9}(\.\d{1,6})?$/.test(text)) return null;
  if (running.divisions === null) {
    running.divisions = 1;
    bar.issues.push(
      remark("no-divisions", "The file does not say how long a division is; a quarter note is assumed.", bar.place),
    );
  }
  return beats(Number(text), running.divisions);
}

/** A word of the file as it can stand in a sentence. */
export function shown(text: string): string {
  return text.length > 20 ? `${text.slice(0, 20)}…` : text;
}
