import type { Line } from "../../passage/line";
import type { NoteId } from "../../passage/note";
import type { Candidate } from "../frames/candidates";
import type { Stay } from "./conditions";

/**
 * Which finger each key of a stay had last, as one number: three bits a key, 0 for a key that has had none yet or is not struck
 * again.
 */
export type Fingered = number;

/** What a stay asks of one onset. */
export interface StayAt {
  readonly worth: number;
  /** Whether nothing of it is remembered any more from here on. */
  readonly isLast: boolean;
  readonly struck: readonly StruckAgain[];
}

/** A stroke of a stay, by Stroke.index. */
interface StruckAgain {
  readonly stroke: number;
  /** Where the bits of its key begin. */
  readonly shift: number;
  /** Whether its key is not struck again. */
  readonly isLast: boolean;
}

/** What stays ask of a line, by Onset.index, at each onset from the first to the last of each. */
export function staysOn(line: Line, stays: readonly Stay[]): ReadonlyMap<number, StayAt> {
  const strokes = new Map<NoteId, number>();
  for (const { notes, index } of stays.length > 0 ? line.strokes : []) for (const id of notes) strokes.set(id, index);
  const found = new Map<number, StayAt>();
  for (const { keys, worth } of stays) {
    const at = new Map<number, StruckAgain[]>();
    let [first, last] = [Infinity, -Infinity];
    keys.forEach((notes, key) => {
      const of = notes.flatMap((id) => strokes.get(id) ?? []);
      of.forEach((stroke, i) => {
        const { onset } = line.strokes[stroke]!;
        [first, last] = [Math.min(first, onset), Math.max(last, onset)];
        const struck = { stroke, shift: 3 * key, isLast: i === of.length - 1 };
        const known = at.get(onset);
        if (known) known.push(struck);
        else at.set(onset, [struck]);
      });
    });
    for (let index = first; index <= last; index++)
      found.set(index, { worth, isLast: index === last, struck: at.get(index) ?? [] });
  }
  return found;
}

/** What a candidate does to the keys of a stay: it strikes some, each with a finger. */
export interface Refingering {
  readonly keys: readonly { readonly shift: number; readonly finger: number }[];
  /** Bits of what is forgotten of those keys, and of what is remembered of them from now on. */
  readonly cleared: number;
  readonly set: number;
}

/** What each candidate of an onset does to the keys of its stay. */
export function refingeringsOf({ struck }: StayAt, candidates: readonly Candidate[]): readonly Refingering[] {
  return candidates.map((candidate) => {
    let [cleared, set] = [0, 0];
    const keys: { shift: number; finger: number }[] = [];
    for (const { stroke, shift, isLast } of struck) {
      const finger = candidate.struck.find((press) => press.stroke.index === stroke)?.finger;
      if (finger === undefined && !isLast) continue;
      cleared |= 7 << shift;
      if (finger === undefined) continue;
      keys.push({ shift, finger });
      if (!isLast) set |= finger << shift;
    }
    return { keys, cleared, set };
  });
}

/**
 * How often a way breaks a stay where it strikes: a key gets another finger than it had, or a finger leaves the key that it had
 * for another.
 */
export function changedBy(had: Fingered, { keys, cleared }: Refingering): number {
  let changed = 0;
  for (const { shift, finger } of keys) {
    const before = (had >> shift) & 7;
    if (before !== 0 && before !== finger) changed++;
    for (let rest = had & ~cleared; rest !== 0; rest >>= 3) if ((rest & 7) === finger) changed++;
  }
  return changed;
}

/** Which finger each key has after that: one whose finger has left it has none. */
export function fingeredAfter(had: Fingered, { keys, cleared, set }: Refingering): Fingered {
  let left = had & ~cleared;
  for (const { finger } of keys)
    for (let [rest, shift] = [left, 0]; rest !== 0; rest >>= 3, shift += 3)
      if ((rest & 7) === finger) left &= ~(7 << shift);
  return left | set;
}

/** One bit for each key. */
const KEYS = 0o1111111111;

/**
 * How often at most one way breaks a stay where another does not, if it goes on as that does: once for each key that it has another
 * finger on, for a key that is left or changes its finger is then as with the other.
 */
export function mayChange(one: Fingered, other: Fingered): number {
  const differ = one ^ other;
  let keys = (one | (one >> 1) | (one >> 2)) & (differ | (differ >> 1) | (differ >> 2)) & KEYS;
  let count = 0;
  for (; keys !== 0; keys &= keys - 1) count++;
  return count;
}
