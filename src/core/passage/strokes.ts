import type { Pitch } from "../keyboard/pitch";
import { MOTION, PLAYING } from "../physics";
import { compare, SURELY_APART, toMs, toNumber } from "../time/beats";
import { endsAfter, spelledName, type Note, type NoteId } from "./note";
import type { Manner } from "./passage";
import type { Together } from "./together";

/** One key stroke of one hand: a note, or a unison of several voices on the same key. */
export interface Stroke {
  /** The note, and with a unison the others that sound by the same stroke. */
  readonly notes: readonly NoteId[];
  readonly key: Pitch;
  /** Its name as written, without octave. */
  readonly spelled: string;
  /** Index of the onset at which the key is struck. */
  readonly onset: number;
  /** Index of the first onset at which it need no longer be held; onset + 1 or more. */
  readonly until: number;
  /** Place of the stroke in Line.strokes. */
  readonly index: number;
  /** ms from the start of the piece at which it is struck. */
  readonly ms: number;
  /** ms from being struck until its finger may leave; Infinity for a grace note and for one that the pedal catches. */
  readonly soundsMs: number;
  /** 0 soft to 1 as loud as can be; accents count. */
  readonly load: number;
  /** Whether it belongs to the tune. */
  readonly tune: boolean;
  /** Whether a slur begins on it. */
  readonly slurBegins: boolean;
}

/**
 * By moment the strokes that begin there, lowest key first. A key struck again while it is held ends the
 * earlier stroke. Notes of one pitch at one moment become one stroke, held for the longest of them.
 */
export function strokesOf(
  moments: readonly Together[],
  tune: ReadonlySet<NoteId>,
  manner: Manner,
): readonly (readonly Stroke[])[] {
  const sounding = new Map<Pitch, Making>();
  let index = 0;
  return moments.map(({ notes, ms }, onset) =>
    unisons(notes).map((together) => {
      const longest = together.reduce((a, b) => (compare(b.duration, a.duration) > 0 ? b : a));
      const stroke: Making = {
        notes: together.map((n) => n.id),
        key: longest.pitch,
        spelled: spelledName(together[0]!),
        onset,
        until: together.every((n) => n.rolled?.caught) ? onset + 1 : releaseOnset(moments, onset, longest),
        index: index++,
        ms,
        soundsMs: soundingMs(together, longest, manner),
        load: Math.max(...together.map((n) => loadOf(n, manner))),
        tune: together.some((n) => tune.has(n.id)),
        slurBegins: together.some((n) => n.slurBegins),
      };
      const before = sounding.get(stroke.key);
      if (before !== undefined) cut(before, stroke);
      sounding.set(stroke.key, stroke);
      return stroke;
    }),
  );
}

/** A stroke while it is made: what follows may end it. */
type Making = { -readonly [Key in keyof Stroke]: Stroke[Key] };

function cut(stroke: Making, again: Stroke): void {
  stroke.soundsMs = Math.min(stroke.soundsMs, again.ms - stroke.ms);
  stroke.until = Math.min(stroke.until, Math.max(again.onset, stroke.onset + 1));
}

/** Notes that are struck together, key by key. */
function unisons(notes: readonly Note[]): readonly (readonly Note[])[] {
  if (notes.length === 1) return [notes];
  const byKey = new Map<Pitch, Note[]>();
  for (const note of notes) byKey.set(note.pitch, [...(byKey.get(note.pitch) ?? []), note]);
  return [...byKey.values()];
}

/** The first onset at which a note has ended. */
function releaseOnset(moments: readonly Together[], from: number, note: Note): number {
  const end = moments[from]!.quarters + toNumber(note.duration);
  let until = from + 1;
  while (until < moments.length && isStillHeld(note, end, moments[until]!)) until++;
  return until;
}

function isStillHeld(note: Note, end: number, { quarters, notes }: Together): boolean {
  const past = end - quarters;
  return Math.abs(past) > SURELY_APART ? past > 0 : endsAfter(note, notes[0]!.onset);
}

/** Detached and staccato notes end early. */
function soundingMs(notes: readonly Note[], { duration }: Note, { tempo, touch }: Manner): number {
  if (notes.some((n) => n.rolled?.caught || (n.grace !== 0 && !n.rolled))) return Infinity;
  const isShort = touch === "detached" || notes.every((n) => n.staccato);
  return toMs(duration, tempo) * (isShort ? MOTION.detachedShare : 1);
}

function loadOf({ loudness, accent }: Note, manner: Manner): number {
  const marked = loudness ?? manner.loudness ?? PLAYING.middling;
  return Math.min(1, marked + (accent ? MOTION.accentLoad : 0));
}
