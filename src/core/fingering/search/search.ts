import { drain } from "../../drain";
import type { Digits } from "../fingering";
import type { PinnedDigits } from "../candidates";
import { frameAfter, type Press } from "../frame";
import type { Task } from "../task";
import { latticeOf, type Lattice } from "./lattice";
import type { Layer } from "./layer";
import { keepsPins, keepsToAllowed, pinsOnly, type Terms } from "./terms";

/** A fingering found, with the sum of its strains. */
export interface Found {
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
export function* searching(lattice: Lattice, terms: Terms, k: number): Generator<Progress, readonly Found[]> {
  const { line } = lattice.task;
  const ways: Ways[] = [];
  for (const { index } of line.onsets) {
    const layer = lattice.layer(index);
    const open = openTo(terms, layer);
    // Fingers in natural order cannot do what is pinned: the lattice of these very pins can.
    if (open === null) {
      const forced = latticeOf(lattice.task, terms.pins);
      return yield* searching(forced, { ...terms, pins: new Int8Array(terms.pins.length) }, k);
    }
    const prior = index === 0 ? null : { layer: lattice.layer(index - 1), ways: ways[index - 1]! };
    const shut = prior && shutSteps(terms, prior.layer, layer, lattice);
    let now = waysTo(layer, open, shut, prior, k);
    // Where the conditions on steps leave no way on, they give way here.
    if (shut && now.counts.every((count) => count === 0)) now = waysTo(layer, open, null, prior, k);
    ways.push(now);
    yield { done: index + 1, of: line.onsets.length };
  }
  return ways.length === 0 ? [{ total: 0, digits: new Int8Array(0) }] : trace(lattice, ways, k);
}

/** The same of a task, around some pins, without stopping. */
export function search(task: Task, pins: PinnedDigits, k: number): readonly Found[] {
  return drain(searching(latticeOf(task), pinsOnly(pins), k));
}

/** By candidate, whether it is open; null where no candidate keeps to the pins. Where all are ruled out, none is. */
export function openTo(terms: Terms, { candidates }: Layer): readonly boolean[] | null {
  const pinned = candidates.map((candidate) => keepsPins(terms, candidate));
  if (!pinned.includes(true)) return null;
  const allowed = candidates.map((candidate, i) => pinned[i]! && keepsToAllowed(terms, candidate));
  return allowed.includes(true) ? allowed : pinned;
}

/** By state, whether the conditions on steps shut it; null where they shut none. */
function shutSteps(terms: Terms, prior: Layer, layer: Layer, { task }: Lattice): Uint8Array | null {
  const { mustHold, noFourthAndFifth } = terms;
  const onset = layer.frames[0]!.onset;
  const isHolding = task.line.strokes.some((s) => mustHold[s.index] && s.onset < onset.index && s.until > onset.index);
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

/** For each state of a layer its up to k cheapest totals, ascending, and the state and rank each came from. */
interface Ways {
  readonly totals: Float64Array;
  readonly counts: Int32Array;
  readonly backState: Int32Array;
  readonly backRank: Int32Array;
}

function waysTo(
  layer: Layer,
  open: readonly boolean[],
  shut: Uint8Array | null,
  prior: { layer: Layer; ways: Ways } | null,
  k: number,
): Ways {
  const count = layer.from.length;
  const ways: Ways = {
    totals: new Float64Array(count * k),
    counts: new Int32Array(count),
    backState: new Int32Array(count * k),
    backRank: new Int32Array(count * k),
  };
  for (let state = 0; state < count; state++) {
    if (!open[layer.by[state]!] || shut?.[state]) continue;
    const pair = layer.pair[state]!;
    if (prior === null) keep(ways, state, pair, -1, 0, k);
    else extend(ways, state, pair, layer, prior.layer.ending[layer.from[state]!]!, prior.ways, k);
  }
  return ways;
}

/** Keeps the k cheapest ways to come to a state over all states that end in the frame before. */
function extend(
  ways: Ways,
  state: number,
  pair: number,
  layer: Layer,
  befores: readonly number[],
  prior: Ways,
  k: number,
): void {
  const start = layer.tripleStart[state]!;
  for (let n = 0; n < befores.length; n++) {
    const before = befores[n]!;
    const step = pair + layer.triple[start + n]!;
    const count = prior.counts[before]!;
    for (let rank = 0; rank < count; rank++) {
      if (!keep(ways, state, prior.totals[before * k + rank]! + step, before, rank, k)) break;
    }
  }
}

/** Inserts a way into a state's ascending list; false when it is too dear to be kept. */
function keep(
  { totals, counts, backState, backRank }: Ways,
  state: number,
  total: number,
  before: number,
  rank: number,
  k: number,
): boolean {
  const base = state * k;
  const count = counts[state]!;
  if (count === k && total >= totals[base + k - 1]!) return false;
  let at = base + Math.min(count, k - 1);
  while (at > base && totals[at - 1]! > total) {
    totals[at] = totals[at - 1]!;
    backState[at] = backState[at - 1]!;
    backRank[at] = backRank[at - 1]!;
    at--;
  }
  totals[at] = total;
  backState[at] = before;
  backRank[at] = rank;
  if (count < k) counts[state] = count + 1;
  return true;
}

function trace(lattice: Lattice, ways: readonly Ways[], k: number): readonly Found[] {
  const last = ways.at(-1)!;
  const ends: { total: number; state: number; rank: number }[] = [];
  for (let state = 0; state < last.counts.length; state++) {
    for (let rank = 0; rank < last.counts[state]!; rank++)
      ends.push({ total: last.totals[state * k + rank]!, state, rank });
  }
  ends.sort((a, b) => a.total - b.total || a.state - b.state || a.rank - b.rank);
  return ends
    .slice(0, k)
    .map(({ total, state, rank }) => ({ total, digits: digitsFrom(lattice, ways, state, rank, k) }));
}

function digitsFrom(lattice: Lattice, ways: readonly Ways[], endState: number, endRank: number, k: number): Digits {
  const digits = new Int8Array(lattice.task.line.strokes.length);
  let [state, rank] = [endState, endRank];
  for (let index = ways.length - 1; index >= 0; index--) {
    const layer = lattice.layer(index);
    for (const press of layer.candidates[layer.by[state]!]!.struck) digits[press.stroke.index] = press.finger;
    const at = state * k + rank;
    const way = ways[index]!;
    [state, rank] = [way.backState[at]!, way.backRank[at]!];
  }
  return digits;
}
