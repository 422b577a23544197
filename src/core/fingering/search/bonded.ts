import { drain } from "../../drain";
import { FINGERS, type Finger } from "../../hand/finger";
import type { Bond } from "./conditions";
import type { Digits } from "../study/fingering";
import type { Lattice } from "./lattice";
import { mergeBest, type Costed } from "./merge";
import { openTo, searching, type PathFound, type Progress } from "./search";
import type { Terms } from "./terms";

/** A bond by where its strokes stand. */
type Tied = readonly { readonly line: number; readonly stroke: number }[];

/** Some fingers already decided, and the best that can be done around them with every other bond left loose. */
interface Branch {
  readonly terms: readonly Terms[];
  readonly bests: readonly PathFound[];
  readonly total: number;
}

/** What was found, and whether nothing better keeps the bonds. */
export interface Bonded {
  readonly found: readonly Costed<readonly Digits[]>[];
  readonly exact: boolean;
}

/** Onsets searched, again and again, after which the exact way is given up for the descent. */
const MOST_ONSETS = 400_000;

/**
 * The fingering of least cost in which the strokes of each bond have the same finger, exactly: branch and bound.
 * The search without bonds can only be cheaper, so it bounds every branch; the cheapest branch is taken up first;
 * where a bond is broken in it, it is divided by the finger that the whole bond is given. The first branch with no
 * broken bond is the best. After MOST_ONSETS the cheapest branch is followed down: every bond broken in it is given the
 * finger that most of its strokes have there, until none is broken; then `exact` is false.
 *
 * With k above 1 the k - 1 next best keep the digits of the bonds and differ elsewhere.
 * Strokes that are pinned to different fingers, or that no one finger can play, are not bound together.
 * The progress is in branches: how many there will be is not known.
 */
export function* searchingBonded(
  lattices: readonly Lattice[],
  terms: readonly Terms[],
  bonds: readonly Bond[],
  k: number,
): Generator<Progress, Bonded> {
  const tied = bonds.map((bond) => placesOf(bond, lattices));
  const onsets = Math.max(1, ...lattices.map(({ task }) => task.line.onsets.length));
  const branches: Branch[] = [branch(lattices, terms, null)];
  for (let searches = 1; searches * onsets <= MOST_ONSETS;) {
    yield { done: searches, of: searches + branches.length };
    const best = branches.shift()!;
    const broken = tied.find((bond) => isHeldApart(bond, best, lattices));
    if (broken === undefined) return { found: bestAround(best, tied, lattices, k), exact: true };
    for (const finger of canHold(broken, lattices, best.terms)) {
      insert(branches, branch(lattices, pinned(best.terms, broken, finger), best));
      searches++;
    }
  }
  return { found: bestAround(descended(branches[0]!, tied, lattices), tied, lattices, k), exact: false };
}

/** The bonds broken in a branch that could be kept. */
function brokenIn(branch: Branch, tied: readonly Tied[], lattices: readonly Lattice[]): readonly Tied[] {
  return tied.filter((bond) => isHeldApart(bond, branch, lattices));
}

/** Whether a bond is broken in a branch and could be kept. */
function isHeldApart(bond: Tied, branch: Branch, lattices: readonly Lattice[]): boolean {
  return isBroken(bond, branch) && canHold(bond, lattices, branch.terms).length > 0;
}

function descended(from: Branch, tied: readonly Tied[], lattices: readonly Lattice[]): Branch {
  let at = from;
  for (;;) {
    const broken = brokenIn(at, tied, lattices);
    if (broken.length === 0) return at;
    let { terms } = at;
    for (const bond of broken) {
      // What was pinned just now may leave less to choose from.
      const open = canHold(bond, lattices, terms);
      if (open.length > 0) terms = pinned(terms, bond, commonest(bond, at, open));
    }
    at = branch(lattices, terms, at);
  }
}

/** Of some fingers the one that most strokes of a bond have; of equals the lowest. */
function commonest(bond: Tied, { bests }: Branch, of: readonly Finger[]): Finger {
  const count = (finger: Finger): number =>
    bond.filter(({ line, stroke }) => bests[line]!.digits[stroke] === finger).length;
  return of.reduce((best, finger) => (count(finger) > count(best) ? finger : best));
}

function bestAround(branch: Branch, tied: readonly Tied[], lattices: readonly Lattice[], k: number): Bonded["found"] {
  return k === 1 ? [whole(branch)] : nextBest(lattices, pinnedWhole(tied, branch), k);
}

function placesOf(bond: Bond, lattices: readonly Lattice[]): Tied {
  return bond.flatMap((note) =>
    lattices.flatMap(({ task }, line) =>
      task.line.strokes.filter(({ notes }) => notes.includes(note)).map(({ index }) => ({ line, stroke: index })),
    ),
  );
}

function branch(lattices: readonly Lattice[], terms: readonly Terms[], from: Branch | null): Branch {
  const bests = lattices.map((lattice, i) =>
    from && from.terms[i] === terms[i] ? from.bests[i]! : drain(searching(lattice, terms[i]!, 1))[0]!,
  );
  return { terms, bests, total: bests.reduce((sum, { total }) => sum + total, 0) };
}

/** A stroke that nobody plays breaks no bond. */
function isBroken(bond: Tied, { bests }: Branch): boolean {
  const fingers = bond.map(({ line, stroke }) => bests[line]!.digits[stroke]!).filter((digit) => digit !== 0);
  return fingers.some((finger) => finger !== fingers[0]);
}

/** The fingers that can play every stroke of a bond: not ruled out on any, other pins kept. */
function canHold(bond: Tied, lattices: readonly Lattice[], terms: readonly Terms[]): readonly Finger[] {
  return FINGERS.filter((finger) => {
    const given = pinned(terms, bond, finger);
    return bond.every(({ line, stroke }) => {
      const { pins, ruledOut } = terms[line]!;
      if (pins[stroke] !== 0) return pins[stroke] === finger;
      if ((ruledOut[stroke]! & (1 << finger)) !== 0) return false;
      return isOpen(given[line]!, lattices[line]!, lattices[line]!.task.line.strokes[stroke]!.onset);
    });
  });
}

function isOpen(terms: Terms, { layer, task }: Lattice, onset: number): boolean {
  return openTo(terms, layer(onset), task.line.onsets[onset]!) !== null;
}

function pinned(terms: readonly Terms[], bond: Tied, finger: Finger): readonly Terms[] {
  return terms.map((of, i) => {
    const strokes = bond.filter(({ line }) => line === i);
    if (strokes.every(({ stroke }) => of.pins[stroke] === finger)) return of;
    const pins = Int8Array.from(of.pins);
    for (const { stroke } of strokes) pins[stroke] = finger;
    return { ...of, pins };
  });
}

/** The terms with every bond given the finger it has. */
function pinnedWhole(tied: readonly Tied[], { terms, bests }: Branch): readonly Terms[] {
  return tied.flat().reduce<readonly Terms[]>((sum, place) => {
    const finger = bests[place.line]!.digits[place.stroke]!;
    return finger === 0 ? sum : pinned(sum, [place], finger as Finger);
  }, terms);
}

function nextBest(
  lattices: readonly Lattice[],
  terms: readonly Terms[],
  k: number,
): readonly Costed<readonly Digits[]>[] {
  const lists = lattices.map((lattice, i) =>
    drain(searching(lattice, terms[i]!, k)).map(({ total, digits }) => ({ total, item: digits })),
  );
  return mergeBest(lists, k);
}

function whole({ total, bests }: Branch): Costed<readonly Digits[]> {
  return { total, item: bests.map(({ digits }) => digits) };
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
