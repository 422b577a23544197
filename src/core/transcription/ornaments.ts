import { isSecond } from "../keyboard/interval";
import { TRANSCRIPTION } from "../physics";
import type { KeyHeard } from "./heard";

/** What of some keys is ornament, by their places among them. */
export interface Ornaments {
  /** Grace notes: the key they run to, and how many before it they are, -1 for the last. */
  readonly graces: ReadonlyMap<number, { readonly to: number; readonly order: number }>;
  /** Trills: the first key, and when the last of them is let go, as the key that ends it. */
  readonly trills: ReadonlyMap<number, { readonly last: number }>;
  /** Keys that are written by the sign of a trill. */
  readonly inTrill: ReadonlySet<number>;
}

/**
 * Finds ornaments. Grace notes are one to three keys, each let go when the next is struck, too short for any plain value and
 * on no place of a grid where the file is exact. A trill is two neighbouring keys in turn, at least six strokes, faster than
 * is written out; in a file that is exact it is left as it stands there.
 * @param isExact whether the file's places are those of a score
 */
export function ornamentsIn(keys: readonly KeyHeard[], isExact: boolean): Ornaments {
  const trills = isExact ? new Map<number, { last: number }>() : trillsIn(keys);
  const inTrill = new Set<number>();
  for (const [first, { last }] of trills) for (const i of membersOf(keys, first, last)) if (i !== first) inTrill.add(i);
  const graces = new Map<number, { to: number; order: number }>();
  keys.forEach((_, i) => {
    if (graces.has(i) || inTrill.has(i) || trills.has(i)) return;
    const group = graceGroup(keys, i, isExact);
    if (group === null) return;
    group.own.forEach((one, order) => graces.set(one, { to: group.to, order: order - group.own.length }));
  });
  return { graces, trills, inTrill };
}

/** A run of at most so many short keys to a longer one. */
const MOST_GRACES = 3;

function graceGroup(keys: readonly KeyHeard[], from: number, isExact: boolean): { own: number[]; to: number } | null {
  const crushed = isExact ? crushedInto(keys, from) : null;
  if (crushed !== null) return { own: [from], to: crushed };
  if (!isShort(keys[from]!, isExact) || isRunOn(keys, from)) return null;
  const own = [from];
  for (let at = from; own.length <= MOST_GRACES;) {
    const next = struckAtEnd(keys, at);
    if (next === null) return null;
    if (!isShort(keys[next]!, isExact)) return { own, to: next };
    own.push(next);
    at = next;
  }
  return null;
}

/** The note that a key is struck together with and let go from at once, for want of time before it; null where it is none. */
function crushedInto(keys: readonly KeyHeard[], at: number): number | null {
  const { key, at: begins, ends } = keys[at]!;
  if (ends - begins > TRANSCRIPTION.graceQuarters || isOnPlace(ends)) return null;
  for (let i = Math.max(0, at - NEAR); i < Math.min(keys.length, at + NEAR); i++) {
    const one = keys[i]!;
    const isWith = i !== at && Math.abs(one.at - begins) < TRANSCRIPTION.exactOff && isOnPlace(one.ends);
    if (isWith && Math.abs(one.key - key) <= CRUSHED) return i;
  }
  return null;
}

/** Keys of one onset at most. */
const NEAR = 12;
/** Half steps between a crushed note and its note at most. */
const CRUSHED = 4;
/** Places of a score, in parts of a quarter note. */
const PLACES = [8, 12, 20, 28];

/** Whether something is written out at a place, in quarter notes. */
export function isOnPlace(at: number): boolean {
  return PLACES.some((per) => Math.abs(at * per - Math.round(at * per)) / per < TRANSCRIPTION.exactOff);
}

function isShort({ ms, msEnds, at, ends }: KeyHeard, isExact: boolean): boolean {
  if (msEnds - ms > TRANSCRIPTION.graceMs || ends - at > TRANSCRIPTION.graceQuarters) return false;
  return !isExact || !isOnPlace(at);
}

/** Whether a key comes straight out of another as short: then it is inside a run, not before a note. */
function isRunOn(keys: readonly KeyHeard[], at: number): boolean {
  const { ms } = keys[at]!;
  for (let i = at - 1; i >= 0 && ms - keys[i]!.ms < 2 * TRANSCRIPTION.graceMs; i--) {
    const before = keys[i]!;
    if (before.msEnds - before.ms <= TRANSCRIPTION.graceMs && Math.abs(before.msEnds - ms) < TRANSCRIPTION.boundMs)
      return true;
  }
  return false;
}

/** The key, of those struck at about the time another is let go, that lies nearest to it; null for none. */
function struckAtEnd(keys: readonly KeyHeard[], at: number): number | null {
  const { msEnds, key, ms } = keys[at]!;
  let best: number | null = null;
  for (let i = at + 1; i < keys.length && keys[i]!.ms - msEnds < TRANSCRIPTION.boundMs; i++) {
    if (Math.abs(keys[i]!.ms - msEnds) >= TRANSCRIPTION.boundMs || keys[i]!.ms - ms < 1) continue;
    if (best === null || Math.abs(keys[i]!.key - key) < Math.abs(keys[best]!.key - key)) best = i;
  }
  return best;
}

/** Strokes of a trill at least. */
const LEAST_STROKES = 6;

function trillsIn(keys: readonly KeyHeard[]): Map<number, { last: number }> {
  const found = new Map<number, { last: number }>();
  const taken = new Set<number>();
  keys.forEach((first, i) => {
    if (taken.has(i)) return;
    const strokes = [i];
    let other: number | null = null;
    for (let k = i + 1; k < keys.length; k++) {
      const now = keys[k]!;
      const last = keys[strokes.at(-1)!]!;
      if (now.ms - last.ms > TRANSCRIPTION.trillMs) break;
      const isBeside = isSecond(now.key - first.key);
      const isNext = last.key === first.key ? isBeside && (other ?? now.key) === now.key : now.key === first.key;
      if (!isNext) continue;
      if (last.key === first.key) other = now.key;
      strokes.push(k);
    }
    if (strokes.length < LEAST_STROKES) return;
    found.set(i, { last: strokes.at(-1)! });
    for (const one of strokes) taken.add(one);
  });
  return found;
}

/** The strokes of a trill: its two keys, from its first to its last. */
function membersOf(keys: readonly KeyHeard[], first: number, last: number): readonly number[] {
  const near = keys[first]!.key;
  const all = Array.from({ length: last - first + 1 }, (_, i) => first + i);
  return all.filter((i) => keys[i]!.key === near || isSecond(keys[i]!.key - near));
}
