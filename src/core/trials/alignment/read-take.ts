import type { NoteId } from "../../passage/note";
import { FAULT, READING } from "../../physics";
import { isOfOrnament, type NoteExpected, type OnsetExpected } from "../expected";
import { inOrderOfTime, type KeyStruck, type Take } from "../take";
import { aligned } from "./align";
import type { Meant } from "./moves";
import { musicOf } from "./music";
import { tempoHeard } from "./tempo-heard";

/** What a key turned out to be. */
export type KeyRead =
  /** A note that the passage asks for: with the key it asks for, or with another in its place. */
  | {
      readonly kind: "right" | "wrong";
      readonly onset: number;
      readonly note: NoteExpected;
      readonly semitones: number;
    }
  /** Nothing asks for it: a neighbour caught beside another key, a key struck twice, or one more. */
  | { readonly kind: "neighbour" | "twice" | "added"; readonly onset: number }
  /** One of the notes that the sign of an ornament stands for: no fault. */
  | { readonly kind: "ornament"; readonly onset: number };

/** A stretch of a take that goes through the music without turning back; each is read for itself. */
export interface Run {
  /** Places of its first and last onset. */
  readonly from: number;
  readonly to: number;
  /** Places of its keys in the take, in order. */
  readonly keys: readonly number[];
  /** Notes that it went past. */
  readonly missed: readonly NoteId[];
}

/** A take held against the passage. */
export interface TakeRead {
  /** In the order of time. */
  readonly keys: readonly KeyStruck[];
  /** What each key was, in the same order. */
  readonly read: readonly KeyRead[];
  readonly runs: readonly Run[];
  /** Places of keys that can be read in another way as well. */
  readonly doubtful: readonly number[];
  /** ms that a quarter note lasted about each key. */
  readonly quarterMs: readonly number[];
}

/**
 * Holds a take against what its passage asks for. It is read twice: by the tempo that was meant, and then by the one that
 * was heard, place by place.
 * @param onsets of the passage, in order
 */
export function readTake(onsets: readonly OnsetExpected[], take: Take): TakeRead {
  const { keys } = inOrderOfTime(take);
  const meantMs = 60_000 / take.tempo;
  const music = musicOf(onsets);
  const meantAll = keys.map(() => meantMs);
  const first = aligned({ onsets, keys, quarterMs: meantAll, timeFree: READING.timeFree }, music);
  const quarterMs = tempoHeard(onsets, keys, first.meant, meantMs);
  const { meant, doubtful } = aligned({ onsets, keys, quarterMs, timeFree: READING.timeFreeKnown }, music);
  return { keys, read: readOf(onsets, keys, meant), runs: runsOf(onsets, meant), doubtful, quarterMs };
}

function readOf(
  onsets: readonly OnsetExpected[],
  keys: readonly KeyStruck[],
  meant: readonly Meant[],
): readonly KeyRead[] {
  return meant.map(({ onset, note }, j): KeyRead => {
    if (onset < 0) {
      const before = onsetBefore(meant, j);
      const isOrnament = isOfOrnament(onsets[before]!, keys[j]!.key);
      return { kind: isOrnament ? "ornament" : surplus(keys, meant, j), onset: before };
    }
    const asked = onsets[onset]!.notes[note]!;
    const semitones = keys[j]!.key - asked.key;
    return { kind: semitones === 0 ? "right" : "wrong", onset, note: asked, semitones };
  });
}

/** Why a key is one too many: it lies beside one that was struck or held then, or it is the same again. */
function surplus(keys: readonly KeyStruck[], meant: readonly Meant[], j: number): "neighbour" | "twice" | "added" {
  const { key, downMs } = keys[j]!;
  for (let i = j - 1; i >= 0 && downMs - keys[i]!.downMs <= FAULT.twiceMs; i--)
    if (keys[i]!.key === key && meant[i]!.onset >= 0) return "twice";
  const isBeside = (other: KeyStruck, i: number): boolean => {
    const off = Math.abs(other.key - key);
    if (meant[i]!.onset < 0 || off === 0 || off > FAULT.neighbourSemitones) return false;
    const isHeld = other.downMs <= downMs && (other.upMs ?? Infinity) >= downMs;
    return isHeld || Math.abs(other.downMs - downMs) <= FAULT.neighbourMs;
  };
  return keys.some(isBeside) ? "neighbour" : "added";
}

/** Place of the last onset that was reached before a key; of the first after it where the reading has begun since. */
function onsetBefore(meant: readonly Meant[], j: number): number {
  let i = j;
  while (i >= 0 && meant[i]!.onset < 0 && !meant[i]!.jumps) i--;
  if (i >= 0 && meant[i]!.onset >= 0) return meant[i]!.onset;
  return meant.slice(Math.max(0, i)).find(({ onset }) => onset >= 0)?.onset ?? 0;
}

function runsOf(onsets: readonly OnsetExpected[], meant: readonly Meant[]): readonly Run[] {
  const runs: number[][] = [];
  meant.forEach(({ onset, jumps }, j) => {
    if (jumps || runs.length === 0) runs.push([]);
    if (onset >= 0 || runs.length > 0) runs.at(-1)!.push(j);
  });
  return runs.flatMap((keys): Run[] => {
    const reached = keys.flatMap((j) => (meant[j]!.onset >= 0 ? [meant[j]!.onset] : []));
    if (reached.length === 0) return [];
    const [from, to] = [Math.min(...reached), Math.max(...reached)];
    const struck = new Set(keys.map((j) => `${meant[j]!.onset}/${meant[j]!.note}`));
    const missed = onsets
      .slice(from, to + 1)
      .flatMap(({ index, notes }) => notes.flatMap(({ id }, note) => (struck.has(`${index}/${note}`) ? [] : [id])));
    return [{ from, to, keys, missed }];
  });
}
