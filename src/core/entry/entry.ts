import type { NoteId } from "../passage/note";
import { add, compare, subtract, ZERO, type Beats } from "../time/beats";
import { barBeats, beatsOf, lengthsFor, sumOf, type Length } from "./length";
import { spell, type WrittenPitch } from "./spelling";

/** A note, a chord or a rest as it was entered. */
export interface Item {
  /** Its own name, kept through every change about it. */
  readonly id: string;
  /** Lowest first; none for a rest. */
  readonly pitches: readonly WrittenPitch[];
  readonly length: Length;
  /** Whether it is tied to the next item of its voice. */
  readonly tied: boolean;
  /** How it is to be touched, where that is written. */
  readonly mark?: Mark;
}

/** What may stand over a note: let go early, held to its end, accented, or where a slur begins and ends. */
export type Mark = "staccato" | "tenuto" | "accent" | "slur" | "slur-end";

/** Voices of a bar: two of the right hand's staff, upper first, and two of the left's. */
export const VOICES = [0, 1, 2, 3] as const;
export type VoiceIndex = (typeof VOICES)[number];
export type EntryBar = readonly [readonly Item[], readonly Item[], readonly Item[], readonly Item[]];

/** Music entered step by step. A voice that does not fill its bar is silent for the rest of it. */
export interface Entry {
  readonly title: string;
  /** Sharps positive, flats negative. */
  readonly fifths: number;
  readonly time: readonly [number, number];
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** What stands over the first bar, where anything does. */
  readonly words?: string;
  readonly bars: readonly EntryBar[];
}

/** Where the next item goes: before the item at a place of a voice in a bar, or at its end. */
export interface Cursor {
  readonly bar: number;
  readonly voice: VoiceIndex;
  readonly at: number;
}

/** What a change comes to; where it could not be made, the entry is as before and a sentence says why. */
export interface EntryChanged {
  readonly entry: Entry;
  readonly cursor: Cursor;
  readonly complaint: string | null;
}

export const EMPTY_BAR: EntryBar = [[], [], [], []];

/** Bars at most: this is for hard spots, not for whole pieces. */
export const MOST_BARS = 64;

/** What stands in one voice of a bar, in order; empty where bar (from 0) or voice is none of the entry's. */
export function itemsAt({ bars }: Entry, { bar, voice }: Pick<Cursor, "bar" | "voice">): readonly Item[] {
  return bars[bar]?.[voice] ?? [];
}

/** Quarter notes that a voice leaves free in a bar. */
export function roomIn(entry: Entry, place: Pick<Cursor, "bar" | "voice">): Beats {
  return subtract(barBeats(entry.time), sumOf(itemsAt(entry, place).map((item) => item.length)));
}

/** Staff and voice of a written score that a voice of an entry stands in. */
export function writtenVoice(voice: VoiceIndex): { readonly staff: 1 | 2; readonly voice: number } {
  return voice < 2 ? { staff: 1, voice: voice + 1 } : { staff: 2, voice: voice + 3 };
}

/**
 * The name that each entered note has once it is read: by item, its notes lowest first. A note tied to from the one
 * before has a name of its own, as every head has.
 */
export function namesOf({ bars }: Entry): ReadonlyMap<string, readonly NoteId[]> {
  const names = new Map<string, readonly NoteId[]>();
  bars.forEach((bar, index) =>
    VOICES.forEach((voice) => {
      const { staff, voice: number } = writtenVoice(voice);
      let order = 0;
      for (const { id, pitches } of bar[voice])
        names.set(
          id,
          pitches.map(() => `b${index + 1}-s${staff}-v${number}-n${++order}` as NoteId),
        );
    }),
  );
  return names;
}

/** Keys spelled in an entry's key, lowest first, each once. */
export function spelled(entry: Entry, keys: readonly number[]): readonly WrittenPitch[] {
  return [...new Set(keys)].sort((a, b) => a - b).map((key) => spell(key, entry.fifths));
}

/**
 * Rests that fill what a voice leaves free, as lengths, shortest first: those that complete tuplets begun in the bar,
 * then plain ones.
 */
export function restsIn(entry: Entry, place: Pick<Cursor, "bar" | "voice">): readonly Length[] {
  const tuplets = new Map<string, Length>();
  for (const { length } of itemsAt(entry, place)) if (length.tuplet) tuplets.set(beatsOf(length), length);
  return filling(roomIn(entry, place), [...tuplets.values()].toReversed());
}

/** Plain lengths where they fill the room, after as few as can be of some tuplets. */
function filling(room: Beats, [tuplet, ...others]: readonly Length[]): readonly Length[] {
  if (tuplet === undefined) return lengthsFor(room).toReversed();
  for (let left = room, rests: readonly Length[] = []; compare(left, ZERO) >= 0;) {
    const found = [...rests, ...filling(left, others)];
    if (sumOf(found) === room) return found;
    [left, rests] = [subtract(left, beatsOf(tuplet)), [...rests, tuplet]];
  }
  return lengthsFor(room).toReversed();
}

/** Whether items of these lengths fit in one bar. */
export function fits(entry: Entry, lengths: readonly Length[]): boolean {
  return compare(sumOf(lengths), barBeats(entry.time)) <= 0;
}

/** Where in its bar an item begins, in quarter notes. */
export function beginsAt(entry: Entry, { bar, voice, at }: Cursor): Beats {
  const items = itemsAt(entry, { bar, voice }).slice(0, at);
  return items.reduce((sum, item) => add(sum, sumOf([item.length])), ZERO);
}
