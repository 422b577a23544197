import { keysOfOrnament, type OnsetExpected } from "../expected";
import { READING } from "../../physics";
import { Places } from "./places";

/** Onsets that are looked at to tell whether two places have the same music ahead: a power of two. */
export const AHEAD = 32;
/** Onsets that a reading may look ahead at with one key: to the next, and past as many as it may miss for less than a jump. */
export const REACH = Math.floor(READING.jump / READING.missed) + 1;
/** Times between onsets that differ by less are the same, in quarter notes. */
const SAME_TIME = 1e-6;

/** The places with the same music ahead that ask for a key with the same note of their onset. */
export interface Asking {
  readonly note: number;
  readonly places: Places;
  /** Whether a chord comes so soon that the next key may leave a reading in the middle of one. */
  readonly isByChord: boolean;
}

/** All that ask for one key. */
export interface AskingForKey {
  readonly all: readonly Asking[];
  /** By the key that comes next: those among them that read it for less than what a key costs that nothing asks for. */
  readonly byNext: ReadonlyMap<number, readonly Asking[]>;
}

/** The music of a passage as it is looked up. */
export interface Music {
  /**
   * What lies ahead of each onset, as a number: places with the same number ask for the same keys in the same times, for AHEAD
   * onsets or to the end.
   */
  readonly ahead: ArrayLike<number>;
  /** By key. */
  readonly asking: ReadonlyMap<number, AskingForKey>;
}

/** @param ahead what lies ahead of each onset; without it, as it is heard: with a number of its own each is looked at for itself */
export function musicOf(onsets: readonly OnsetExpected[], ahead: ArrayLike<number> = musicAhead(onsets)): Music {
  const byKey = new Map<number, Map<string, [note: number, places: number[]]>>();
  onsets.forEach(({ notes }, onset) =>
    notes.forEach(({ key }, note) =>
      put(put(byKey, key, new Map()), `${ahead[onset]}/${note}`, [note, []])[1].push(onset),
    ),
  );
  const asking = new Map<number, AskingForKey>();
  for (const [key, same] of byKey) {
    const all = [...same.values()].map(([note, places]): Asking => {
      const soon = onsets.slice(places[0]!, places[0]! + REACH + 1);
      return { note, places: Places.of(places), isByChord: soon.some(({ notes }) => notes.length > 1) };
    });
    asking.set(key, { all, byNext: byNext(onsets, all) });
  }
  return { ahead, asking };
}

function byNext(onsets: readonly OnsetExpected[], all: readonly Asking[]): AskingForKey["byNext"] {
  const byNext = new Map<number, Asking[]>();
  for (const asking of all)
    for (const key of readCheaply(onsets, asking.places.first, asking.note)) put(byNext, key, []).push(asking);
  return byNext;
}

/**
 * The keys that cost less than one that nothing asks for, right after a note with which a reading begins: those of its own
 * onset, of its ornament, of the next onset, and of the one after it where that leaves out one note only.
 */
function readCheaply(onsets: readonly OnsetExpected[], onset: number, note: number): ReadonlySet<number> {
  const [here, next, second] = [onsets[onset]!, onsets[onset + 1], onsets[onset + 2]];
  const beside = here.notes.filter((_, other) => other !== note);
  const after = [...(next?.notes ?? []), ...((next?.notes.length === 1 && second?.notes) || [])];
  return new Set([...[...beside, ...after].map(({ key }) => key as number), ...keysOfOrnament(here)]);
}

/** What a map has under a key, which is put there where there is nothing yet. */
function put<K, V>(map: Map<K, V>, key: K, otherwise: V): V {
  const known = map.get(key) ?? otherwise;
  map.set(key, known);
  return known;
}

/** By doubling: the music of 2n onsets is that of n, and of n from there. */
function musicAhead(onsets: readonly OnsetExpected[]): Int32Array {
  let numbers = numbered(onsets.map((onset, i) => asked(onset, onsets[i + 1])));
  for (let many = 1; many < AHEAD; many *= 2) {
    const half = numbers;
    numbers = numbered(Array.from(half, (own, i) => own * (half.length + 1) + (half[i + many] ?? half.length)));
  }
  return numbers;
}

/** What an onset asks for, and how long until the next. */
function asked({ at, notes, ornamented = [] }: OnsetExpected, next: OnsetExpected | undefined): string {
  const until = next ? Math.round((next.at - at) / SAME_TIME) : "end";
  return `${notes.map(({ key }) => key).join(" ")}/${ornamented.join(" ")}/${until}`;
}

function numbered(things: readonly (string | number)[]): Int32Array {
  const known = new Map<string | number, number>();
  return Int32Array.from(things, (thing) => {
    const number = known.get(thing) ?? known.size;
    known.set(thing, number);
    return number;
  });
}
