import { MOTION } from "../../physics";
import type { Pitch } from "../../keyboard/pitch";
import type { NoteId } from "../../passage/note";
import type { Step } from "./steps";
import { tasksOf, type Study } from "./study";

/** A key as it sounds when a passage is played. Times in quarter notes, so that they hold at any tempo. */
export interface Sound {
  readonly notes: readonly NoteId[];
  readonly key: Pitch;
  /** From the start of the passage. */
  readonly at: number;
  readonly length: number;
  /** 0 as soft as can be to 1. */
  readonly load: number;
}

/**
 * What the hands of a study play, in order. Grace notes and rolled chords, which last so many ms, are as long in
 * quarter notes as they are at the study's tempo.
 */
export function soundsOf(study: Study): readonly Sound[] {
  const { tempo } = study.manner;
  const quarters = (ms: number): number => (ms * tempo) / 60_000;
  const strokes = tasksOf(study).flatMap(({ line }) => line.strokes);
  const start = startOf(study);
  return strokes
    .map(({ notes, key, ms, soundsMs, load }): Sound => {
      const length = Number.isFinite(soundsMs) ? quarters(soundsMs) : MOTION.graceQuarters;
      return { notes, key, at: Math.max(0, quarters(ms) - start), length, load };
    })
    .sort((a, b) => a.at - b.at || a.key - b.key);
}

/** When each step is struck, in quarter notes from the start of the passage. */
export function stepTimes(sounds: readonly Sound[], steps: readonly Step[]): readonly number[] {
  const at = new Map<NoteId, number>();
  for (const sound of sounds) for (const note of sound.notes) at.set(note, sound.at);
  let last = 0;
  return steps.map(({ notes }) => {
    const found = notes.flatMap((note) => at.get(note) ?? []);
    return (last = Math.max(last, found.length === 0 ? last : Math.min(...found)));
  });
}

/** Quarter notes from the start of the piece at which the first note of a study is struck; 0 where it has none. */
export function startOf(study: Study): number {
  const firsts = tasksOf(study).flatMap(({ line }) => line.onsets[0]?.ms ?? []);
  return firsts.length === 0 ? 0 : (Math.min(...firsts) * study.manner.tempo) / 60_000;
}
