import type { Line } from "../../passage/line";
import type { NoteId } from "../../passage/note";
import type { Candidate } from "../frames/candidates";
import type { Stay } from "./conditions";

/** Which finger each key of a stay has, as one number: three bits a key in the order of the hand, 0 for a key that has none yet. */
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
}

/** What stays ask of a line, by Onset.index, at each onset from the first to the last of each. */
export function staysOn(line: Line, stays: readonly Stay[]): ReadonlyMap<number, StayAt> {
  const strokes = new Map<NoteId, number>();
  for (const { notes, index } of stays.length > 0 ? line.strokes : []) for (const id of notes) strokes.set(id, index);
  const found = new Map<number, StayAt>();
  for (const { keys, worth } of stays) {
    const at = new Map<number, StruckAgain[]>();
    let [first, last] = [Infinity, -Infinity];
    inOrderOfHand(
      line,
      keys.map((notes) => notes.flatMap((id) => strokes.get(id) ?? [])),
    ).forEach((of, key) => {
      for (const stroke of of) {
        const { onset } = line.strokes[stroke]!;
        [first, last] = [Math.min(first, onset), Math.max(last, onset)];
        const struck = { stroke, shift: 3 * key };
        const known = at.get(onset);
        if (known) known.push(struck);
        else at.set(onset, [struck]);
      }
    });
    for (let index = first; index <= last; index++)
      found.set(index, { worth, isLast: index === last, struck: at.get(index) ?? [] });
  }
  return found;
}

/** The strokes of each key, from the key on the side of the thumb to that on the side of the little finger. */
function inOrderOfHand({ side, strokes }: Line, keys: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const keyOf = (of: readonly number[]): number => strokes[of[0]!]!.key * (side === "right" ? 1 : -1);
  return keys.filter((of) => of.length > 0).sort((a, b) => keyOf(a) - keyOf(b));
}

/** What a candidate does to the keys of a stay: it strikes some, each with a finger. */
export interface Refingering {
  readonly keys: readonly { readonly shift: number; readonly finger: number }[];
  /** Bits of what is forgotten of those keys, and of what is remembered of them from now on. */
  readonly cleared: number;
  readonly set: number;
  /** Whether the stay ends there, so that nothing is remembered. */
  readonly isLast: boolean;
}

/** What each candidate of an onset does to the keys of its stay. */
export function refingeringsOf({ struck, isLast }: StayAt, candidates: readonly Candidate[]): readonly Refingering[] {
  return candidates.map((candidate) => {
    let [cleared, set] = [0, 0];
    const keys: { shift: number; finger: number }[] = [];
    for (const { stroke, shift } of struck) {
      const finger = candidate.struck.find((press) => press.stroke.index === stroke)?.finger;
      if (finger === undefined) continue;
      cleared |= 7 << shift;
      set |= finger << shift;
      keys.push({ shift, finger });
    }
    return { keys, cleared, set, isLast };
  });
}

/**
 * How often a way breaks a stay where it strikes: a key gets another finger than it has, or a finger strikes that has another key
 * or that lies on the wrong side of another finger's: the hand is no longer placed on them.
 */
export function changedBy(had: Fingered, { keys, cleared }: Refingering): number {
  let changed = 0;
  for (const { shift, finger } of keys) {
    const before = (had >> shift) & 7;
    if (before !== 0 && before !== finger) changed++;
    for (let rest = had & ~cleared, at = 0; rest !== 0; rest >>= 3, at += 3)
      if (isDisplaced(rest & 7, at, finger, shift)) changed++;
  }
  return changed;
}

/** Which finger each key has after that: one from which the hand was moved has none. */
export function fingeredAfter(had: Fingered, { keys, cleared, set, isLast }: Refingering): Fingered {
  if (isLast) return 0;
  let left = had & ~cleared;
  for (const { shift, finger } of keys)
    for (let rest = left, at = 0; rest !== 0; rest >>= 3, at += 3)
      if (isDisplaced(rest & 7, at, finger, shift)) left &= ~(7 << at);
  return left | set;
}

/** Whether a key cannot keep its finger when another key is struck: with the same, or with one from the wrong side of it. */
function isDisplaced(own: number, at: number, finger: number, shift: number): boolean {
  return own !== 0 && (own === finger || own < finger !== at < shift);
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
