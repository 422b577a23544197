import { drain } from "../../drain";
import type { Digits } from "../study/fingering";
import type { PinnedDigits } from "../frames/candidates";
import { frameAfter, type Press } from "../frames/frame";
import type { Onset } from "../../passage/line";
import type { Task } from "../study/task";
import { latticeOf, type Lattice } from "./lattice";
import type { Layer } from "./layer";
import { stateOf, type Open, type Ways } from "./ways";
import { waysTo } from "./ways-to";
import { addedTo, keepsPins, keepsToAllowed, pinsOnly, type Terms } from "./terms";

/** A fingering found, with the sum of its strains. */
export interface PathFound {
  readonly total: number;
  readonly digits: Digits;
}

/** How far a search has come, in onsets. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

/**
 * The k best distinct fingerings of one line, exactly, best first; fewer when there are fewer.
 *
 * The cost is a sum of terms over at most three consecutive frames, so over the states of the lattice (pairs
 * of consecutive frames) it is enough to keep the k cheapest ways to come to each (list Viterbi). Equal costs
 * are settled by the order of candidates, so the answer is always the same. Time and memory are linear in
 * length.
 *
 * A generator, so that a worker can stop between onsets: it yields its progress at each.
 * @param k how many, at least 1
 */
export function* searching(lattice: Lattice, terms: Terms, k: number): Generator<Progress, readonly PathFound[]> {
  const { line } = lattice.task;
  const trail: Trail[] = [];
  let [ways, spare]: [Ways | null, Ways | null] = [null, null];
  for (const { index } of line.onsets) {
    const now = waysOn(lattice, terms, index, ways, k, spare);
    // Fingers in natural order cannot do what is pinned: the lattice of these very pins can.
    if (now === null) {
      const forced = latticeOf(lattice.task, terms.pins);
      return yield* searching(forced, { ...terms, pins: new Int8Array(terms.pins.length) }, k);
    }
    trail.push({ back: now.back, staying: now.staying });
    [spare, ways] = [ways, now];
    yield { done: index + 1, of: line.onsets.length };
  }
  return ways === null ? [{ total: 0, digits: new Int8Array(0) }] : trace(lattice, trail, ways, k);
}

/**
 * The ways to an onset from those to the one before; null where no candidate keeps to the pins.
 * @param before null for the first onset
 * @param spare ways no longer needed, which may be written over
 */
export function waysOn(
  lattice: Lattice,
  terms: Terms,
  index: number,
  before: Ways | null,
  k: number,
  spare: Ways | null,
): Ways | null {
  const layer = lattice.layer(index);
  const onset = lattice.task.line.onsets[index]!;
  const open = openTo(terms, layer, onset);
  if (open === null) return null;
  const prior = before && { layer: lattice.layer(index - 1), ways: before };
  const shut = prior && shutSteps(terms, prior.layer, layer, onset, lattice);
  const added = addedTo(terms, layer, onset);
  const stay = terms.stays.get(index) ?? null;
  const ways = waysTo(layer, { open, shut, added, stay }, prior, k, spare);
  // Where the conditions on steps leave no way on, they give way here.
  const isStuck = shut !== null && ways.counts.every((count) => count === 0);
  return isStuck ? waysTo(layer, { open, shut: null, added, stay }, prior, k, null) : ways;
}

/** The same of a task, around some pins, without stopping. */
export function search(task: Task, pins: PinnedDigits, k: number): readonly PathFound[] {
  return drain(searching(latticeOf(task), pinsOnly(pins), k));
}

/** By candidate, whether it is open; null where no candidate keeps to the pins. Where all are ruled out, none is. */
export function openTo(terms: Terms, layer: Layer, { struck }: Onset): Open | null {
  if (struck.every(({ index }) => !terms.pins[index] && !terms.ruledOut[index])) return "all";
  const { candidates } = layer;
  const pinned = candidates.map((candidate) => keepsPins(terms, candidate));
  if (!pinned.includes(true)) return null;
  const allowed = candidates.map((candidate, i) => pinned[i]! && keepsToAllowed(terms, candidate));
  return allowed.includes(true) ? allowed : pinned;
}

/** By state, whether the conditions on steps shut it; null where they shut none. */
function shutSteps(terms: Terms, prior: Layer, layer: Layer, onset: Onset, { task }: Lattice): Uint8Array | null {
  const { mustHold, anyMustHold, noFourthAndFifth } = terms;
  const isHolding =
    anyMustHold && task.line.strokes.some((s) => mustHold[s.index] && s.onset < onset.index && s.until > onset.index);
  if (!isHolding && !noFourthAndFifth) return null;
  return Uint8Array.from(layer.from, (from, state) => {
    const before = prior.frames[from]!;
    const { struck, leftOut } = layer.candidates[layer.by[state]!]!;
    const isWeak = noFourthAndFifth && isFourthAndFifth(before.struck, struck);
    const letsGo = isHolding && frameAfter(before, onset, struck, leftOut, task).letGo;
    return Number(isWeak || (letsGo && letsGo.some(({ press }) => mustHold[press.stroke.index])));
  });
}

function isFourthAndFifth(before: readonly Press[], now: readonly Press[]): boolean {
  const [one, other] = [before[0], now[0]];
  return before.length === 1 && now.length === 1 && one!.finger + other!.finger === 9 && one!.finger !== other!.finger;
}

/** What is kept of the ways to a layer, to find back by. */
export type Trail = Pick<Ways, "back" | "staying">;

/** The k cheapest of the last ways, with the digits that led to each. */
export function trace(lattice: Lattice, trail: readonly Trail[], last: Ways, k: number): readonly PathFound[] {
  const ends: { total: number; way: number }[] = [];
  last.counts.forEach((count, state) => {
    for (let way = state * k; way < state * k + count; way++) ends.push({ total: last.totals[way]!, way });
  });
  ends.sort((a, b) => a.total - b.total || a.way - b.way);
  return ends.slice(0, k).map(({ total, way }) => ({ total, digits: digitsFrom(lattice, trail, way, k) }));
}

function digitsFrom(lattice: Lattice, trail: readonly Trail[], end: number, k: number): Digits {
  const digits = new Int8Array(lattice.task.line.strokes.length);
  let way = end;
  for (let index = trail.length - 1; index >= 0; index--) {
    const layer = lattice.layer(index);
    const by = layer.by[stateOf(trail[index]!, way, k)]!;
    for (const press of layer.candidates[by]!.struck) digits[press.stroke.index] = press.finger;
    way = trail[index]!.back[way]!;
  }
  return digits;
}
