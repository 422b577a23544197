import { add, compare, subtract, toNumber, type Beats } from "../time/beats";

/** A note that wants a voice. */
export interface Unvoiced {
  readonly key: number;
  readonly at: Beats;
  readonly length: Beats;
}

/** Voices of one staff at most; what would need more is cut short. */
const MOST_VOICES = 4;

/** A chord of one voice: notes that begin and end together. */
interface Stem {
  readonly notes: readonly number[];
  readonly at: Beats;
  readonly ends: Beats;
  readonly height: number;
}

/** Voice of each note of a hand, 0 for the first, and until when it is written. */
export interface Voiced {
  readonly voice: number;
  readonly length: Beats;
}

/**
 * Gives the notes of one hand voices: what begins and ends together is a chord of one voice; what overlaps goes to another,
 * the higher one to the first where both begin at once, else to the voice that is free and was nearest last. Where all are
 * taken the nearest is cut short.
 * @param notes in order of time, the lowest first
 */
export function voicedIn(notes: readonly Unvoiced[]): readonly Voiced[] {
  const voices: Stem[][] = [];
  const found: Voiced[] = [];
  for (const moment of moments(notes)) {
    const stems = stemsOf(moment, notes);
    const used = new Set<number>();
    for (const stem of stems) {
      const voice = voiceFor(stem, voices, used);
      used.add(voice);
      const own = (voices[voice] ??= []);
      const last = own.at(-1);
      if (last && compare(last.ends, stem.at) > 0) cutShort(last, stem.at, notes, found);
      own.push(stem);
      for (const i of stem.notes) found[i] = { voice, length: subtract(stem.ends, stem.at) };
    }
  }
  return found;
}

/** Indices of the notes of each onset. */
function moments(notes: readonly Unvoiced[]): readonly (readonly number[])[] {
  const all: number[][] = [];
  notes.forEach(({ at }, i) => {
    if (i > 0 && compare(at, notes[i - 1]!.at) === 0) all.at(-1)!.push(i);
    else all.push([i]);
  });
  return all;
}

/** The chords of an onset, the highest first. */
function stemsOf(moment: readonly number[], notes: readonly Unvoiced[]): readonly Stem[] {
  const byLength = new Map<Beats, number[]>();
  for (const i of moment) {
    const { length } = notes[i]!;
    byLength.set(length, [...(byLength.get(length) ?? []), i]);
  }
  const stems = [...byLength]
    .map(([length, own]): Stem => {
      const { at } = notes[own[0]!]!;
      const height = own.reduce((sum, i) => sum + notes[i]!.key, 0) / own.length;
      return { notes: own, at, ends: add(at, length), height };
    })
    .sort((a, b) => b.height - a.height);
  const [kept, more] = [stems.slice(0, MOST_VOICES), stems.slice(MOST_VOICES)];
  if (more.length === 0) return kept;
  // More lengths than voices: the lowest ones last as long as the last that has a voice.
  const last = kept.at(-1)!;
  return [...kept.slice(0, -1), { ...last, notes: [...last.notes, ...more.flatMap((stem) => stem.notes)] }];
}

function voiceFor(stem: Stem, voices: readonly Stem[][], used: ReadonlySet<number>): number {
  const free = voices.flatMap((own, voice) => {
    const last = own.at(-1)!;
    return !used.has(voice) && compare(last.ends, stem.at) <= 0 ? [voice] : [];
  });
  if (free.length > 0) {
    const sounding = voices.some(
      (own, voice) => !free.includes(voice) && (used.has(voice) || compare(own.at(-1)!.ends, stem.at) > 0),
    );
    // Alone, a hand's notes are its first voice.
    if (!sounding && free.includes(0)) return 0;
    const distance = (voice: number): number => Math.abs(voices[voice]!.at(-1)!.height - stem.height);
    return free.reduce((a, b) => (distance(b) < distance(a) ? b : a));
  }
  if (voices.length < MOST_VOICES) return voices.length;
  const open = voices.map((_, voice) => voice).filter((voice) => !used.has(voice));
  const left = (voice: number): number => toNumber(voices[voice]!.at(-1)!.ends);
  return open.reduce((a, b) => (left(b) < left(a) ? b : a), open[0] ?? 0);
}

function cutShort(last: Stem, at: Beats, notes: readonly Unvoiced[], found: Voiced[]): void {
  for (const i of last.notes) {
    const { at: from } = notes[i]!;
    found[i] = { ...found[i]!, length: subtract(at, from) };
  }
}
