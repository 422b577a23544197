import { drain } from "../../drain";
import { FINGERS, type Finger } from "../../hand/finger";
import type { Digits } from "../study/fingering";
import { Balance } from "./balance";
import type { Lattice } from "./lattice";
import { mergeBest, type Costed } from "./merge";
import { openTo, searching, type Progress } from "./search";
import { EQUAL, searchAgain, type Searched } from "./search-again";
import type { Terms } from "./terms";
import { decide, fingerAt, pinnedTo, priceBroken, type Place, type Tie } from "./ties";

/** Some ties already decided, and the best that can be done around them with every other one left loose. */
interface Branch {
  readonly terms: readonly Terms[];
  /** Strain moved between the strokes of loose ties. */
  readonly balance: Balance;
  /** Line by line. */
  readonly bests: readonly Searched[];
  /** Strain of the best, with what decided memories cost and what is moved; no more than of anything that keeps to what is decided. */
  readonly total: number;
  /** Strain of the best and what decided memories and the loose ones cost; Infinity where a bond is broken that could be kept. */
  readonly price: number;
  readonly decided: ReadonlySet<Tie>;
}

/** What a search of both hands found, best first, and whether nothing better keeps to what was asked. */
export interface Found {
  readonly found: readonly Costed<readonly Digits[]>[];
  readonly exact: boolean;
}

/**
 * Onsets searched, again and again, after which the exact way is given up for the best that was found; each search counts for a
 * part of its line besides, for what lies beside it.
 */
const MOST_ONSETS = 200_000;
const BESIDE = 1 / 4;
/** How often strain is moved before the first branch is divided, and in each branch. */
const ROUNDS_AT_FIRST = 60;
const ROUNDS_A_BRANCH = 4;

/**
 * The fingering of least strain and memory, exactly: branch and bound. Bonds are kept; a memory gives way where keeping it
 * strains more than it is worth. The search with ties left loose can only be cheaper, so it bounds every branch, and strain is
 * moved between the strokes of loose ties so that it is as little cheaper as may be (see search/balance). The cheapest branch is
 * taken up first and divided by the finger of the tie whose breaking costs it most. The best that was found is the answer when no
 * branch is cheaper. After MOST_ONSETS it is the best so far, or, where some bond is broken in all that was found, the cheapest
 * branch with every broken bond given the finger that most of its strokes have there; then `exact` is false.
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
): Generator<Progress, Found> {
  const able = ties.filter((tie) => tie.bound.length === 1 || canHold(tie, lattices, terms).length > 0);
  const sought = new Sought(lattices, able);
  const first = sought.branch(null, terms, new Set(), Balance.of(able, lattices));
  const branches: Branch[] = [yield* sought.balanced(first, ROUNDS_AT_FIRST)];
  while (sought.onsets <= MOST_ONSETS) {
    yield { done: sought.searches, of: sought.searches + branches.length };
    const best = branches.shift();
    const tie = best && sought.isCheaper(best) ? dearestBroken(best, able) : undefined;
    if (best === undefined || tie === undefined) break;
    for (const finger of canHold(tie, lattices, best.terms)) {
      const next = sought.divided(best, new Map([[tie, finger]]));
      const balanced = yield* sought.balanced(next, ROUNDS_A_BRANCH);
      if (sought.isCheaper(balanced)) insert(branches, balanced);
    }
  }
  const least = sought.least!;
  const found = least.price === Infinity ? descended(branches[0] ?? first, sought) : least;
  return { found: bestAround(found, able, lattices, k), exact: found === least && sought.onsets <= MOST_ONSETS };
}

/** What has been found so far. */
class Sought {
  /** What costs least with all ties weighed. */
  least: Branch | null = null;
  searches = 0;
  /** As MOST_ONSETS counts them. */
  onsets = 0;

  constructor(
    readonly lattices: readonly Lattice[],
    readonly ties: readonly Tie[],
  ) {}

  /** Whether a branch may hold something cheaper than the best so far. */
  isCheaper({ total }: Branch): boolean {
    return total < this.least!.price - EQUAL;
  }

  /** The best around what is decided, with strain moved as given between the strokes of what is not. */
  branch(from: Branch | null, terms: readonly Terms[], decided: ReadonlySet<Tie>, balance: Balance): Branch {
    const on = balance.on(terms);
    const bests = this.lattices.map((lattice, i) => searchAgain(lattice, on[i]!, from && from.bests[i]!));
    const total = bests.reduce((sum, found) => sum + found.total, 0);
    const loose = { terms, balance, bests, total, price: 0, decided };
    const broken = this.ties.reduce((sum, tie) => sum + priceIn(tie, loose), 0);
    const found = { ...loose, price: total - balance.onto(bests) + broken };
    this.searches++;
    bests.forEach(({ onsets }, i) => (this.onsets += onsets + BESIDE * this.lattices[i]!.task.line.onsets.length));
    if (this.least === null || found.price < this.least.price - EQUAL) this.least = found;
    return found;
  }

  /** A branch with some more ties decided. */
  divided(from: Branch, fingers: ReadonlyMap<Tie, Finger>): Branch {
    const decided = new Set([...from.decided, ...fingers.keys()]);
    return this.branch(from, decide(fingers, from.terms), decided, from.balance.without(decided));
  }

  /** The same branch with strain moved between the strokes of its loose ties, some times or until nothing is left to move. */
  *balanced(branch: Branch, rounds: number): Generator<Progress, Branch> {
    let [best, at] = [branch, branch];
    for (let round = 0; round < rounds && this.isCheaper(best) && this.onsets <= MOST_ONSETS; round++) {
      const balance = at.balance.movedFor(at.bests);
      if (balance === null) return best;
      at = this.branch(at, at.terms, at.decided, balance);
      if (at.total > best.total) best = at;
      yield { done: this.searches, of: this.searches + 1 };
    }
    return best;
  }
}

/** What a tie that is still loose costs a branch: 0 where it is kept. */
function priceIn(tie: Tie, { decided, bests }: Branch): number {
  return decided.has(tie) ? 0 : priceBroken(tie, bests);
}

function dearestBroken(branch: Branch, ties: readonly Tie[]): Tie | undefined {
  let [dearest, most]: [Tie | undefined, number] = [undefined, 0];
  for (const tie of ties) {
    const price = priceIn(tie, branch);
    if (price > most) [dearest, most] = [tie, price];
  }
  return dearest;
}

/** Every bond that is broken is given the finger that most of its strokes have, if after those before it any can keep it. */
function descended(from: Branch, sought: Sought): Branch {
  const { ties, lattices } = sought;
  for (let at = from; ;) {
    const fingers = new Map<Tie, Finger>();
    for (const tie of ties) {
      if (priceIn(tie, at) !== Infinity) continue;
      const open = canHold(tie, lattices, pinnedTo(fingers, at.terms));
      if (open.length > 0) fingers.set(tie, commonest(tie.bound, at, open));
    }
    if (fingers.size === 0) return { ...at, price: at.total - at.balance.onto(at.bests) + finitePrices(at, ties) };
    at = sought.divided(at, fingers);
  }
}

/** What loose memories cost a branch; bonds that no finger can keep cost nothing. */
function finitePrices(branch: Branch, ties: readonly Tie[]): number {
  const prices = ties.map((tie) => priceIn(tie, branch));
  return prices.reduce((sum, price) => sum + (price === Infinity ? 0 : price), 0);
}

/** Of some fingers the one that most strokes of a bond have; of equals the lowest. */
function commonest(bound: readonly Place[], { bests }: Branch, of: readonly Finger[]): Finger {
  const count = (finger: Finger): number => bound.filter((place) => fingerAt(place, bests) === finger).length;
  return of.reduce((best, finger) => (count(finger) > count(best) ? finger : best));
}

/** The fingers that can play every stroke that must have the same: not ruled out on any, other pins kept. */
function canHold(tie: Tie, lattices: readonly Lattice[], terms: readonly Terms[]): readonly Finger[] {
  return FINGERS.filter((finger) => {
    const given = pinnedTo(new Map([[tie, finger]]), terms);
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

function bestAround(best: Branch, ties: readonly Tie[], lattices: readonly Lattice[], k: number): Found["found"] {
  if (k === 1) return [{ total: best.price, item: best.bests.map(({ digits }) => digits) }];
  const fingers = new Map<Tie, Finger>();
  for (const tie of ties) {
    const finger = fingerAt(tie.bound[0]!, best.bests);
    if (finger !== 0 && !best.decided.has(tie)) fingers.set(tie, finger as Finger);
  }
  const fixed = decide(fingers, best.terms);
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
