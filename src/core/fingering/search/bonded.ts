import { drain } from "../../drain";
import { FINGERS, type Finger } from "../../hand/finger";
import type { Digits } from "../study/fingering";
import type { Lattice } from "./lattice";
import { mergeBest, type Costed } from "./merge";
import { openTo, searching, type PathFound, type Progress } from "./search";
import type { Terms } from "./terms";
import { decide, priceBroken, type Place, type Tie } from "./ties";

/** Some ties already decided, and the best that can be done around them with every other one left loose. */
interface Branch {
  readonly terms: readonly Terms[];
  readonly bests: readonly PathFound[];
  /** Strain of the best, with what decided memories cost; no more than of anything that keeps to what is decided. */
  readonly total: number;
  /** The same with what the loose memories cost; Infinity where a bond is broken that could be kept. */
  readonly price: number;
  readonly decided: ReadonlySet<Tie>;
}

/** What was found, and whether nothing better keeps the ties. */
export interface Bonded {
  readonly found: readonly Costed<readonly Digits[]>[];
  readonly exact: boolean;
}

/** Onsets searched, again and again, after which the exact way is given up for the best that was found. */
const MOST_ONSETS = 200_000;
/** Strains closer than this count as equal. */
const EQUAL = 1e-9;

/**
 * The fingering of least strain and memory, exactly: branch and bound. Bonds are kept; a memory gives way where keeping
 * it strains more than it is worth. The search with ties left loose can only be cheaper, so it bounds every branch; the
 * cheapest branch is taken up first and divided by the finger of the tie whose breaking costs it most. The first branch
 * that breaks nothing, or the best so far when no branch is cheaper, is the answer. After MOST_ONSETS it is the best so
 * far, or where bonds stand against that the cheapest branch with every broken bond given the finger that most of its
 * strokes have there; then `exact` is false.
 *
 * With k above 1 the k - 1 next best keep the fingers of bonds and of figures remembered, and differ elsewhere.
 * Strokes that are pinned to different fingers, or that no one finger can play, are not bound together.
 * The progress is in branches: how many there will be is not known.
 */
export function* searchingBonded(
  lattices: readonly Lattice[],
  terms: readonly Terms[],
  ties: readonly Tie[],
  k: number,
): Generator<Progress, Bonded> {
  const onsets = Math.max(1, ...lattices.map(({ task }) => task.line.onsets.length));
  const branches: Branch[] = [branch(lattices, terms, ties, null, new Set())];
  let least = branches[0]!;
  for (let searches = 1; searches * onsets <= MOST_ONSETS;) {
    yield { done: searches, of: searches + branches.length };
    const best = branches.shift();
    if (best === undefined || least.price <= best.total + EQUAL)
      return { found: bestAround(least, ties, lattices, k), exact: true };
    const tie = dearestBroken(best, ties, lattices)!;
    for (const finger of canHold(tie, lattices, best.terms)) {
      const given = decide(tie, finger, best.terms);
      const next = branch(lattices, given, ties, best, new Set([...best.decided, tie]));
      searches++;
      if (next.price < least.price - EQUAL) least = next;
      if (next.total < least.price - EQUAL) insert(branches, next);
    }
  }
  const found = least.price === Infinity ? descended(branches[0] ?? least, ties, lattices) : least;
  return { found: bestAround(found, ties, lattices, k), exact: false };
}

function branch(
  lattices: readonly Lattice[],
  terms: readonly Terms[],
  ties: readonly Tie[],
  from: Branch | null,
  decided: ReadonlySet<Tie>,
): Branch {
  const bests = lattices.map((lattice, i) =>
    from && from.terms[i] === terms[i] ? from.bests[i]! : drain(searching(lattice, terms[i]!, 1))[0]!,
  );
  const total = bests.reduce((sum, found) => sum + found.total, 0);
  const loose = { terms, bests, total, price: 0, decided };
  const broken = ties.reduce((sum, tie) => sum + priceIn(tie, loose, lattices), 0);
  return { ...loose, price: total + broken };
}

/** What a tie that is still loose costs a branch: 0 where it is kept, or where a bond cannot be. */
function priceIn(tie: Tie, { decided, bests, terms }: Branch, lattices: readonly Lattice[]): number {
  if (decided.has(tie)) return 0;
  const price = priceBroken(tie, bests);
  return price === Infinity && canHold(tie, lattices, terms).length === 0 ? 0 : price;
}

function dearestBroken(branch: Branch, ties: readonly Tie[], lattices: readonly Lattice[]): Tie | undefined {
  let [dearest, most]: [Tie | undefined, number] = [undefined, 0];
  for (const tie of ties) {
    const price = priceIn(tie, branch, lattices);
    if (price > most) [dearest, most] = [tie, price];
  }
  return dearest;
}

/** Every bond that is broken and could be kept is given the finger that most of its strokes have. */
function descended(from: Branch, ties: readonly Tie[], lattices: readonly Lattice[]): Branch {
  let at = from;
  for (;;) {
    const broken = ties.filter((tie) => priceIn(tie, at, lattices) === Infinity);
    if (broken.length === 0) return at;
    let { terms } = at;
    for (const tie of broken) {
      // What was decided just now may leave less to choose from.
      const open = canHold(tie, lattices, terms);
      if (open.length > 0) terms = decide(tie, commonest(tie.bound, at, open), terms);
    }
    at = branch(lattices, terms, ties, at, new Set([...at.decided, ...broken]));
  }
}

/** Of some fingers the one that most strokes of a bond have; of equals the lowest. */
function commonest(bound: readonly Place[], { bests }: Branch, of: readonly Finger[]): Finger {
  const count = (finger: Finger): number =>
    bound.filter(({ line, stroke }) => bests[line]!.digits[stroke] === finger).length;
  return of.reduce((best, finger) => (count(finger) > count(best) ? finger : best));
}

/** The fingers that can play every stroke that must have the same: not ruled out on any, other pins kept. */
function canHold(tie: Tie, lattices: readonly Lattice[], terms: readonly Terms[]): readonly Finger[] {
  return FINGERS.filter((finger) => {
    const given = decide(tie, finger, terms);
    return tie.bound.every(({ line, stroke }) => {
      const { pins, ruledOut } = terms[line]!;
      if (pins[stroke] !== 0) return pins[stroke] === finger;
      if ((ruledOut[stroke]! & (1 << finger)) !== 0) return false;
      const { layer, task } = lattices[line]!;
      const { onset } = task.line.strokes[stroke]!;
      return openTo(given[line]!, layer(onset), task.line.onsets[onset]!) !== null;
    });
  });
}

function bestAround(best: Branch, ties: readonly Tie[], lattices: readonly Lattice[], k: number): Bonded["found"] {
  if (k === 1) return [{ total: best.price, item: best.bests.map(({ digits }) => digits) }];
  const fixed = ties.reduce((terms, tie) => {
    const [first] = tie.bound;
    const finger = first && best.bests[first.line]!.digits[first.stroke];
    return finger && !best.decided.has(tie) ? decide(tie, finger as Finger, terms) : terms;
  }, best.terms);
  const lists = lattices.map((lattice, i) =>
    drain(searching(lattice, fixed[i]!, k)).map(({ total, digits }) => ({ total, item: digits })),
  );
  return mergeBest(lists, k);
}

/** Keeps branches in order, cheapest first; of equal ones the older first. */
function insert(branches: Branch[], next: Branch): void {
  let [low, high] = [0, branches.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (branches[middle]!.total <= next.total) low = middle + 1;
    else high = middle;
  }
  branches.splice(low, 0, next);
}
