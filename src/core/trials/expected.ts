import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import type { Stroke } from "../passage/strokes";
import type { NoteId } from "../passage/note";
import { playedNotes } from "../passage/passage";
import { FAULT, MOTION } from "../physics";
import { tasksOf, type Study } from "../fingering/study/study";

/** A key that the passage asks for at an onset. */
export interface NoteExpected {
  readonly id: NoteId;
  /** The note, and with a unison the others that sound by the same stroke. */
  readonly notes: readonly NoteId[];
  readonly key: Pitch;
  readonly side: Side;
  /** Quarter notes that it sounds. */
  readonly length: number;
  /** 0 as soft as can be to 1. */
  readonly load: number;
  readonly tune: boolean;
}

/** What is to be struck at one moment, by both hands. */
export interface OnsetExpected {
  readonly index: number;
  /** Quarter notes from the first onset of the passage, as long as it is at the tempo of the study. */
  readonly at: number;
  readonly bar: string;
  /** Lowest key first. */
  readonly notes: readonly NoteExpected[];
  /** Keys about which an ornament may move then: of notes with a sign for one that sound here, or begin the next onset. */
  readonly ornamented?: readonly Pitch[];
}

/**
 * What a passage asks to be struck, onset by onset, both hands together: ties are joined, a rolled chord is one onset that
 * may be struck spread, grace notes are onsets of their own, and notes that a hand has taken over are that hand's.
 */
export function expectedOf(study: Study): readonly OnsetExpected[] {
  const quarters = (ms: number): number => (ms * study.manner.tempo) / 60_000;
  const rolled = new Set(playedNotes(study.passage).flatMap((note) => (note.rolled ? [note.id] : [])));
  const moments = new Map<string, { ms: number; bar: string; notes: NoteExpected[] }>();
  for (const { line } of tasksOf(study)) {
    for (const onset of line.onsets) {
      const isRolled = onset.struck.some(({ notes }) => notes.some((id) => rolled.has(id)));
      const place = `${onset.at}/${isRolled ? 0 : onset.grace}`;
      const moment = moments.get(place) ?? { ms: onset.ms, bar: onset.bar, notes: [] };
      moments.set(place, moment);
      moment.ms = Math.min(moment.ms, onset.ms);
      for (const stroke of onset.struck) moment.notes.push(expected(stroke, line.side, quarters));
    }
  }
  const inTime = [...moments.values()].sort((a, b) => a.ms - b.ms);
  const start = inTime[0]?.ms ?? 0;
  const onsets = inTime.map(({ ms, bar, notes }, index) => ({
    index,
    at: quarters(ms - start),
    bar,
    notes: notes.sort((a, b) => a.key - b.key),
  }));
  return withOrnaments(
    onsets,
    new Set(playedNotes(study.passage).flatMap((note) => (note.ornamented ? [note.id] : []))),
  );
}

/** The onsets with the keys about which an ornament may move: from just before its note until that ends. */
function withOrnaments(onsets: readonly OnsetExpected[], signed: ReadonlySet<NoteId>): readonly OnsetExpected[] {
  if (signed.size === 0) return onsets;
  const notes = onsets.flatMap(({ index, at, notes: own }) =>
    own
      .filter((note) => note.notes.some((id) => signed.has(id)))
      .map((note) => ({ ...note, index, until: at + note.length })),
  );
  return onsets.map((onset) => {
    const moving = notes.filter(({ index, until }) => index - 1 <= onset.index && onset.at < until - 1e-9);
    return moving.length === 0 ? onset : { ...onset, ornamented: moving.map(({ key }) => key) };
  });
}

/** Whether a key may belong to an ornament that moves at an onset. */
export function isOfOrnament({ ornamented }: OnsetExpected, key: Pitch): boolean {
  return ornamented !== undefined && ornamented.some((about) => Math.abs(key - about) <= FAULT.neighbourSemitones);
}

/** The keys that may belong to an ornament that moves at an onset. */
export function keysOfOrnament({ ornamented = [] }: OnsetExpected): readonly number[] {
  const about = (key: Pitch): number[] =>
    Array.from({ length: 2 * FAULT.neighbourSemitones + 1 }, (_, i) => key - FAULT.neighbourSemitones + i);
  return ornamented.flatMap(about);
}

function expected(stroke: Stroke, side: Side, quarters: (ms: number) => number): NoteExpected {
  const { notes, key, soundsMs, load, tune } = stroke;
  const length = Number.isFinite(soundsMs) ? quarters(soundsMs) : MOTION.graceQuarters;
  return { id: notes[0]!, notes, key, side, length, load, tune };
}
