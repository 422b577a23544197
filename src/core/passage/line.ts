import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import { MOTION } from "../physics";
import { compare, subtract, toMs, type Beats } from "../time/beats";
import { endOf, type Note, type NoteId } from "./note";
import { handOf, inOrder, playedNotes, type Manner, type Passage } from "./passage";

/** One key stroke of one hand: a note, or a unison of several voices on the same key. */
export interface Stroke {
  /** The note, and with a unison the others that sound by the same stroke. */
  readonly notes: readonly NoteId[];
  readonly key: Pitch;
  /** Index of the onset at which the key is struck. */
  readonly onset: number;
  /** Index of the first onset at which it need no longer be held; onset + 1 or more. */
  readonly until: number;
  /** Place of the stroke in Line.strokes. */
  readonly index: number;
}

/** A moment at which one hand strikes something. */
export interface Onset {
  readonly index: number;
  readonly at: Beats;
  readonly grace: number;
  /** ms from the onset before; Infinity for the first. */
  readonly gap: number;
  /** Strokes that begin here, lowest key first. */
  readonly struck: readonly Stroke[];
  /** Whether it goes on with a rolled chord: the hand sweeps to it in its own time and need not open to it. */
  readonly swept: boolean;
}

/** What one hand plays, onset by onset. */
export interface Line {
  readonly side: Side;
  readonly onsets: readonly Onset[];
  readonly strokes: readonly Stroke[];
}

/**
 * The line of one hand of a passage, at the passage's tempo. A key struck again while it is held ends the
 * earlier stroke. Notes of one pitch at one onset become one stroke, held for the longest of them.
 */
export function lineOf(passage: Passage, side: Side, manner: Manner): Line {
  const groups = groupByOnset(inOrder(playedNotes(passage)).filter((note) => handOf(note, passage) === side));
  const strokes: Stroke[] = [];
  const sounding = new Map<Pitch, number>();
  const onsets = groups.map((group, index): Onset => {
    const struck = unisons(group).map((notes): Stroke => {
      const key = notes[0]!.pitch;
      const before = sounding.get(key);
      if (before !== undefined) strokes[before] = cut(strokes[before]!, index);
      const end = notes.map(endOf).reduce((a, b) => (compare(a, b) >= 0 ? a : b));
      sounding.set(key, strokes.length);
      strokes.push({
        notes: notes.map((n) => n.id),
        key,
        onset: index,
        until: notes.every((n) => n.rolled?.caught) ? index + 1 : releaseOnset(groups, index, end),
        index: strokes.length,
      });
      return strokes.at(-1)!;
    });
    const { onset: at, grace } = group[0]!;
    return { index, at, grace, gap: gapBefore(groups, index, manner.tempo), struck, swept: isSwept(groups, index) };
  });
  return { side, onsets: onsets.map((o) => ({ ...o, struck: o.struck.map((s) => strokes[s.index]!) })), strokes };
}

function isSwept(groups: readonly (readonly Note[])[], index: number): boolean {
  const [before, now] = [groups[index - 1]?.[0], groups[index]![0]!];
  return before?.rolled !== undefined && now.rolled !== undefined && before.onset === now.onset;
}

function cut(stroke: Stroke, at: number): Stroke {
  return stroke.until > at ? { ...stroke, until: Math.max(at, stroke.onset + 1) } : stroke;
}

function groupByOnset(notes: readonly Note[]): readonly (readonly Note[])[] {
  const groups: Note[][] = [];
  for (const note of notes) {
    const last = groups.at(-1);
    if (last && last[0]!.onset === note.onset && last[0]!.grace === note.grace) last.push(note);
    else groups.push([note]);
  }
  return groups;
}

function unisons(group: readonly Note[]): readonly (readonly Note[])[] {
  const byKey = new Map<Pitch, Note[]>();
  for (const note of group) byKey.set(note.pitch, [...(byKey.get(note.pitch) ?? []), note]);
  return [...byKey.values()];
}

function releaseOnset(groups: readonly (readonly Note[])[], from: number, end: Beats): number {
  let until = from + 1;
  while (until < groups.length && compare(groups[until]![0]!.onset, end) < 0) until++;
  return until;
}

/** Grace notes are taken from the time before the note they lean on, at most half of it in all. */
function gapBefore(groups: readonly (readonly Note[])[], index: number, tempo: number): number {
  if (index === 0) return Infinity;
  return Math.max(1, startMs(groups, index, tempo) - startMs(groups, index - 1, tempo));
}

function startMs(groups: readonly (readonly Note[])[], index: number, tempo: number): number {
  const note = groups[index]![0]!;
  const at = toMs(note.onset, tempo);
  if (note.rolled) return at + note.grace * note.rolled.stepMs;
  if (note.grace === 0) return at;
  let first = index;
  while (first > 0 && groups[first - 1]![0]!.grace < 0 && groups[first - 1]![0]!.onset === note.onset) first--;
  const count = -groups[first]![0]!.grace;
  const before = first > 0 ? toMs(subtract(note.onset, groups[first - 1]![0]!.onset), tempo) : Infinity;
  return at + note.grace * Math.min(MOTION.graceMs, before / 2 / count);
}
