import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import { MOTION, PLAYING } from "../physics";
import { compare, subtract, SURELY_APART, toMs, toNumber, type Beats } from "../time/beats";
import { groupsInOrder, type Group } from "./groups";
import { goesOnBySteps, keysLainOver } from "./lain-over";
import { barAt, pulseIn, type Metre, type Pulse } from "./metre";
import { endsAfter, spelledName, type Note, type NoteId } from "./note";
import { handOf, inOrder, playedNotes, tuneOf, type Manner, type Passage } from "./passage";

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

/** A moment at which one hand strikes something. */
export interface Onset {
  readonly index: number;
  /** Quarter notes from the start of the piece. */
  readonly at: Beats;
  /** The bar as numbered on paper, the place within it in quarter notes, how it is counted, and what the place is in that. */
  readonly bar: string;
  readonly beat: Beats;
  readonly metre: Metre;
  readonly pulse: Pulse;
  readonly grace: number;
  /** ms from the start of the piece. */
  readonly ms: number;
  /** ms from the onset before; Infinity for the first. */
  readonly gap: number;
  /** Strokes that begin here, lowest key first. */
  readonly struck: readonly Stroke[];
  /** Whether all that was struck before it has ended earlier, as written. */
  readonly afterRest: boolean;
  /** Whether it goes on with a rolled chord: the hand sweeps to it in its own time and need not open to it. */
  readonly swept: boolean;
  /** Whether a group begins here that strikes its keys as the group before did its own. */
  readonly begins: boolean;
  /** Whether no line goes on to that by steps, too: the hand is set down anew on it. */
  readonly anew: boolean;
  /** Keys that the hand is set down over here, lowest first; empty where it goes along the keys. */
  readonly liesOver: readonly Pitch[];
  /** Whether it is the last of its line. */
  readonly last: boolean;
  /** What it is beyond the keys it strikes, so that like onsets can be told; empty for plain bound ones that go on. */
  readonly sign: string;
}

/** What one hand plays, onset by onset. */
export interface Line {
  readonly side: Side;
  readonly onsets: readonly Onset[];
  readonly strokes: readonly Stroke[];
  /** Groups in order, from left to right: broken chords one after another. */
  readonly groups: readonly Group[];
}

/**
 * The line of one hand of a passage, at the passage's tempo. A key struck again while it is held ends the
 * earlier stroke. Notes of one pitch at one onset become one stroke, held for the longest of them.
 */
export function lineOf(passage: Passage, side: Side, manner: Manner): Line {
  const byOnset = groupByOnset(inOrder(playedNotes(passage)).filter((note) => handOf(note, passage) === side));
  const tune = tuneOf(passage);
  const strokes: Stroke[] = [];
  const sounding = new Map<Pitch, number>();
  const ends = endsOf(byOnset);
  const starts = byOnset.map((_, index) => startMs(byOnset, index, manner.tempo));
  const onsets = byOnset.map((together, index): Onset => {
    const struck = unisons(together).map((notes): Stroke => {
      const key = notes[0]!.pitch;
      const before = sounding.get(key);
      if (before !== undefined) strokes[before] = cut(strokes[before]!, index, starts);
      const longest = notes.reduce((a, b) => (compare(b.duration, a.duration) > 0 ? b : a));
      sounding.set(key, strokes.length);
      strokes.push({
        notes: notes.map((n) => n.id),
        key,
        spelled: spelledName(notes[0]!),
        onset: index,
        until: notes.every((n) => n.rolled?.caught) ? index + 1 : releaseOnset(byOnset, index, longest),
        index: strokes.length,
        ms: starts[index]!,
        soundsMs: soundingMs(notes, longest, manner),
        load: Math.max(...notes.map((n) => loadOf(n, manner))),
        tune: notes.some((n) => tune.has(n.id)),
        slurBegins: notes.some((n) => n.slurBegins),
      });
      return strokes.at(-1)!;
    });
    const { onset: at, grace, bar, beat } = together[0]!;
    const counted = barAt(passage.bars ?? [], at);
    return {
      index,
      at,
      bar,
      beat,
      metre: counted.metre,
      pulse: isBesideBeat(together[0]!) ? "between" : pulseIn(counted, at),
      grace,
      ms: starts[index]!,
      gap: index === 0 ? Infinity : gapBetween(starts[index - 1]!, starts[index]!),
      struck,
      afterRest: index > 0 && ends[index - 1]! < toNumber(at) - SURELY_APART,
      swept: isSwept(byOnset, index),
      begins: false,
      anew: false,
      liesOver: [],
      last: index === byOnset.length - 1,
      sign: "",
    };
  });
  const groups = groupsInOrder(onsets);
  const done = inGroups(onsets, groups).map((onset, i) => finished(onset, strokes, onsets[i + 1]));
  return { side, onsets: done, strokes, groups };
}

/** Whether a line sets out with an onset: the first, or the first after a rest. */
export function setsOut({ index, afterRest }: Pick<Onset, "index" | "afterRest">): boolean {
  return index === 0 || afterRest;
}

/** Onsets that know where a group begins after another, and the the keys that the hand lies over. */
function inGroups(onsets: readonly Onset[], groups: readonly Group[]): readonly Onset[] {
  const following = groups.filter(({ first }, i) => groups[i - 1]?.last === first - 1);
  const beginnings = new Set(following.map(({ first }) => first));
  const liesOver = keysLainOver(onsets, groups);
  return onsets.map((onset, i) => {
    const begins = beginnings.has(i);
    return { ...onset, begins, anew: begins && !goesOnBySteps(onsets, i), liesOver: liesOver[i]! };
  });
}

/** Whether a note is played before or after the place it is written at. */
function isBesideBeat({ grace }: Note): boolean {
  return grace !== 0;
}

/** An onset with its strokes as they came to be. */
function finished(onset: Onset, strokes: readonly Stroke[], next: Onset | undefined): Onset {
  const struck = onset.struck.map((s) => strokes[s.index]!);
  const isPlain = struck.every((s) => isBound(s, next) && s.load === PLAYING.middling && !s.tune);
  const signs = isPlain ? "" : struck.map((s) => signOf(s, next)).join();
  const group = onset.anew ? "anew " : onset.begins ? "begins " : "";
  const keys = onset.liesOver.map((key) => key - struck[0]!.key).join();
  return { ...onset, struck, sign: `${setsOut(onset) ? "sets out " : ""}${group}${keys && `over ${keys} `}${signs}` };
}

function isBound({ soundsMs }: Stroke, next: Onset | undefined): boolean {
  return next === undefined || soundsMs >= next.gap - 1;
}

function signOf(stroke: Stroke, next: Onset | undefined): string {
  const ends = isBound(stroke, next) ? "" : Math.round(stroke.soundsMs);
  return `${ends}/${stroke.load}${stroke.tune ? "t" : ""}`;
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

function isSwept(groups: readonly (readonly Note[])[], index: number): boolean {
  const [before, now] = [groups[index - 1]?.[0], groups[index]![0]!];
  return before?.rolled !== undefined && now.rolled !== undefined && before.onset === now.onset;
}

function cut(stroke: Stroke, at: number, starts: readonly number[]): Stroke {
  const soundsMs = Math.min(stroke.soundsMs, starts[at]! - starts[stroke.onset]!);
  return { ...stroke, soundsMs, until: Math.min(stroke.until, Math.max(at, stroke.onset + 1)) };
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

/** The first onset at which a note has ended. */
function releaseOnset(groups: readonly (readonly Note[])[], from: number, note: Note): number {
  let until = from + 1;
  while (until < groups.length && endsAfter(note, groups[until]![0]!.onset)) until++;
  return until;
}

/** By onset, where the last of all that was struck so far ends, in quarter notes. */
function endsOf(groups: readonly (readonly Note[])[]): readonly number[] {
  let end = -Infinity;
  return groups.map((notes) => {
    for (const { onset, duration } of notes) end = Math.max(end, toNumber(onset) + toNumber(duration));
    return end;
  });
}

/** ms from one onset to the next; never less than one. */
export function gapBetween(from: number, to: number): number {
  return Math.max(1, to - from);
}

/** ms between the strokes of a rolled chord at most: over half of the time to the next notes it is not spread. */
function roomFor(groups: readonly (readonly Note[])[], index: number, tempo: number): number {
  const { onset, grace } = groups[index]![0]!;
  if (grace <= 0) return Infinity;
  let next = index + 1;
  while (next < groups.length && groups[next]![0]!.onset === onset) next++;
  const following = groups[next]?.[0];
  if (!following) return Infinity;
  const last = groups[next - 1]![0]!.grace;
  return toMs(subtract(following.onset, onset), tempo) / 2 / Math.max(1, last);
}

/** Grace notes are taken from the time before the note they lean on, at most half of it in all. */
function startMs(groups: readonly (readonly Note[])[], index: number, tempo: number): number {
  const note = groups[index]![0]!;
  const at = toMs(note.onset, tempo);
  if (note.rolled) return at + note.grace * Math.min(note.rolled.stepMs, roomFor(groups, index, tempo));
  if (note.grace === 0) return at;
  let first = index;
  while (first > 0 && groups[first - 1]![0]!.grace < 0 && groups[first - 1]![0]!.onset === note.onset) first--;
  const count = -groups[first]![0]!.grace;
  const before = first > 0 ? toMs(subtract(note.onset, groups[first - 1]![0]!.onset), tempo) : Infinity;
  return at + note.grace * Math.min(MOTION.graceMs, before / 2 / count);
}
