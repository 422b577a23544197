import { drain } from "../../drain";
import type { Line } from "../../passage/line";
import type { Lattice } from "./lattice";
import { searching, trace, waysOn, type PathFound } from "./search";
import { BY_FINGER, type Terms } from "./terms";
import type { Ways } from "./ways";

/** The best fingering of a line under some terms, with what was found on the way to it. */
export interface Searched extends PathFound {
  readonly terms: Terms;
  /** How many onsets were looked at to find it. */
  readonly onsets: number;
  /** Null where the ways are not kept: in a very long line, and where fingers had to be out of their natural order. */
  readonly kept: Kept | null;
}

/** What is known of each onset. */
interface Kept {
  readonly ways: readonly Ways[];
  /** Strain that is missing in the totals of the ways. */
  readonly missing: Float64Array;
}

/** Strains closer than this count as equal. */
export const EQUAL = 1e-7;
/** Onsets of the longest line of which all ways are kept. */
const MOST_KEPT = 50_000;

/**
 * The best fingering of a line, exactly. Where it was searched before under terms that differ in pins and in strain added
 * alone, only what lies about the differences is searched again: from the first onset that differs until every way costs
 * as much more, or less, than it did.
 */
export function searchAgain(lattice: Lattice, terms: Terms, before: Searched | null): Searched {
  const { onsets, strokes } = lattice.task.line;
  if (onsets.length === 0 || onsets.length > MOST_KEPT) return searchedWhole(lattice, terms);
  const kept = before?.kept ?? null;
  const differ = kept ? differingOnsets(strokes, before!.terms, terms) : [0];
  const again = new Again(lattice, terms, kept);
  for (const index of differ) if (!again.from(index)) return searchedWhole(lattice, terms);
  return again.searched();
}

/** Without keeping what was found on the way. */
function searchedWhole(lattice: Lattice, terms: Terms): Searched {
  const [best] = drain(searching(lattice, terms, 1));
  return { ...best!, terms, onsets: lattice.task.line.onsets.length, kept: null };
}

/** Ways on their way from those of some terms to those of others. */
class Again {
  private readonly ways: Ways[];
  private readonly missing: Float64Array;
  /** Onsets before this one are as the terms have them. */
  private done = 0;
  private looked = 0;

  constructor(
    private readonly lattice: Lattice,
    private readonly terms: Terms,
    kept: Kept | null,
  ) {
    this.ways = kept ? [...kept.ways] : [];
    this.missing = kept ? Float64Array.from(kept.missing) : new Float64Array(lattice.task.line.onsets.length);
  }

  /** Searches from an onset that differs on; false where no candidate keeps to the pins. */
  from(index: number): boolean {
    if (index < this.done) return true;
    const count = this.missing.length;
    const base = index === 0 ? 0 : this.missing[index - 1]!;
    for (this.done = index; this.done < count;) {
      const at = this.done++;
      const now = waysOn(this.lattice, this.terms, at, this.ways[at - 1] ?? null, 1, null);
      if (now === null) return false;
      this.looked++;
      const old = this.ways[at];
      const more = old === undefined ? null : evenlyDearer(now, old);
      this.ways[at] = now;
      if (more !== null) {
        const by = base + more - this.missing[at]!;
        for (let after = at + 1; after < count; after++) this.missing[after]! += by;
      }
      this.missing[at] = base;
      if (more !== null) return true;
    }
    return true;
  }

  searched(): Searched {
    const { ways, missing, terms, lattice } = this;
    const { total, digits } = trace(lattice, ways, ways.at(-1)!, 1)[0]!;
    return { total: total + missing.at(-1)!, digits, terms, onsets: this.looked, kept: { ways, missing } };
  }
}

/** Onsets whose strokes have other pins, or other strain added, in order. */
function differingOnsets(strokes: Line["strokes"], before: Terms, now: Terms): readonly number[] {
  const differ = new Set<number>();
  for (const { index, onset } of strokes)
    if (before.pins[index] !== now.pins[index] || !addAlike(before.dearer, now.dearer, index)) differ.add(onset);
  return [...differ].sort((a, b) => a - b);
}

function addAlike(one: Float64Array | undefined, other: Float64Array | undefined, stroke: number): boolean {
  if (one === other) return true;
  for (let at = stroke * BY_FINGER; at < (stroke + 1) * BY_FINGER; at++)
    if ((one?.[at] ?? 0) !== (other?.[at] ?? 0)) return false;
  return true;
}

/** By how much more all ways cost than other ways to the same onset; null where these are others, or not all by as much. */
function evenlyDearer({ totals, counts, staying }: Ways, other: Ways): number | null {
  if (!isAlike(counts, other.counts) || !staysAlike(staying, other.staying)) return null;
  let more: number | null = null;
  for (let way = 0; way < totals.length; way++) {
    if (staying === null && counts[way] === 0) continue;
    const by = totals[way]! - other.totals[way]!;
    more ??= by;
    if (Math.abs(by - more) > EQUAL) return null;
  }
  return more;
}

function staysAlike(one: Ways["staying"], other: Ways["staying"]): boolean {
  if (one === null || other === null) return one === other;
  return isAlike(one.states, other.states) && isAlike(one.fingered, other.fingered);
}

function isAlike(one: ArrayLike<number>, other: ArrayLike<number>): boolean {
  if (one.length !== other.length) return false;
  for (let i = 0; i < one.length; i++) if (one[i] !== other[i]) return false;
  return true;
}
