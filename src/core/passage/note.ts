import type { Side } from "../hand/finger";
import { add, compare, SURELY_APART, toNumber, type Beats } from "../time/beats";
import type { Pitch } from "../keyboard/pitch";

/**
 * A note's name within its piece, made of bar, staff, voice and order ("b12-s1-v1-n3"). Marks, pins and
 * fingerings are keyed by it, never by a place in a list.
 */
export type NoteId = string & { readonly __unit: "note" };

/** One stroke of a key: ties are already joined, so duration is how long it sounds. */
export interface Note {
  readonly id: NoteId;
  /** The note heads after the first that are tied to this one, in order. */
  readonly tied: readonly NoteId[];
  readonly pitch: Pitch;
  /** Steps of the scale from the lowest C, as written; by the key's plain name where it is not said. See stepOf. */
  readonly step?: number;
  readonly staff: number;
  readonly voice: string;
  /** Quarter notes from the start of the piece. */
  readonly onset: Beats;
  /** Quarter notes it is held; zero for a grace note. */
  readonly duration: Beats;
  /** Notes before or after one onset count from it: grace notes -2, -1; a rolled chord on to 1, 2; 0 for every other. */
  readonly grace: number;
  /** 0 as soft as can be to 1 as loud as can be, as marked; the manner's own where nothing is said. */
  readonly loudness?: number;
  readonly accent?: boolean;
  /** Whether it is marked to be let go early. */
  readonly staccato?: boolean;
  /** Whether a slur begins on it, as written. */
  readonly slurBegins?: boolean;
  /** Whether a sign on it stands for more notes than are written: a trill, a turn. Which, is the player's to choose. */
  readonly ornamented?: boolean;
  /** The hand that plays it where that is not its staff's own. */
  readonly hand?: Side;
  /** In a rolled chord: ms between strokes, and whether the pedal lets its finger leave at once. */
  readonly rolled?: { readonly stepMs: number; readonly caught: boolean };
  /** The bar as numbered on paper, and the place within it in quarter notes. */
  readonly bar: string;
  readonly beat: Beats;
  /** The digit that came with the note, if any. */
  readonly printed: number | null;
}

/** The step of the scale that each key of an octave is usually written on, C to B. */
const USUAL_STEPS = [0, 0, 1, 2, 2, 3, 3, 4, 5, 5, 6, 6];

/** Steps of the scale from the lowest C: seven an octave, so that C4 is 28. */
export function stepOf({ step, pitch }: Pick<Note, "step" | "pitch">): number {
  return step ?? (Math.floor(pitch / 12) - 1) * 7 + USUAL_STEPS[pitch % 12]!;
}

const LETTERS = ["C", "D", "E", "F", "G", "A", "B"];
const NATURAL = [0, 2, 4, 5, 7, 9, 11];
const SIGNS = [" double flat", " flat", "", " sharp", " double sharp"];

/** A note's name as it is written, without octave: "G flat" where that is what the score says, never "F sharp". */
export function spelledName(note: Pick<Note, "step" | "pitch">): string {
  const step = stepOf(note);
  const sign = note.pitch - (12 * (Math.floor(step / 7) + 1) + NATURAL[step % 7]!);
  return `${LETTERS[step % 7]}${SIGNS[sign + 2] ?? ""}`;
}

/** The same with its octave as written, middle C being "C 4". */
export function noteName(note: Pick<Note, "step" | "pitch">): string {
  return `${spelledName(note)} ${Math.floor(stepOf(note) / 7)}`;
}

/** When a note ends, in quarter notes from the start of the piece. */
export function endOf({ onset, duration }: Note): Beats {
  return add(onset, duration);
}

/** Whether a note goes on past a place, exactly. */
export function endsAfter(note: Note, at: Beats): boolean {
  const past = toNumber(note.onset) + toNumber(note.duration) - toNumber(at);
  return Math.abs(past) > SURELY_APART ? past > 0 : compare(endOf(note), at) > 0;
}
