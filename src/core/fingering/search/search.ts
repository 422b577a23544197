import { drain } from "../../drain";
import type { Digits } from "../fingering";
import { candidatesFor, type Candidate, type PinnedDigits } from "../candidates";
import { frameAfter, type Frame } from "../frame";
import type { Task } from "../task";
import { costsOf, type Costs } from "./costs";

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
 * The cost is a sum of terms over at most three consecutive frames, and a frame (what is struck and what is
 * still held) follows from the frame before and the fingers that strike. So a state is a pair of consecutive
 * frames, and for each the k cheapest ways to come to it are kept (list Viterbi). Equal costs are settled
 * by the order of candidates, so the answer is always the same. Time and memory are linear in length.
 *
 * A generator, so that a worker can stop between onsets: it yields its progress at each.
 * @param k how many, at least 1
 */
export function* searching(task: Task, pins: PinnedDigits, k: number): Generator<Progress, readonly Found[]> {
  const costs = costsOf(task);
  const layers: Layer[] = [];
  let last: Layer | null = null;
  for (const onset of task.line.onsets) {
    last = nextLayer(last, candidatesFor(onset, pins, task), onset.index, task, costs, k);
    layers.push(last);
    yield { done: onset.index + 1, of: task.line.onsets.length };
  }
  return last === null ? [{ total: 0, digits: new Int8Array(0) }] : trace(layers, last, task, k);
}

/** The same, without stopping. */
export function search(task: Task, pins: PinnedDigits, k: number): readonly Found[] {
  return drain(searching(task, pins, k));
}

/** The frames possible at one onset and the states that end in them. */
interface Layer {
  /** Frames of the layer before; none in the first layer. */
  readonly priorFrames: readonly Frame[];
  readonly frames: readonly Frame[];
  readonly candidates: readonly Candidate[];
  /** State s comes from frame `from[s]` of the layer before (0 in the first layer) and ends in frame `to[s]`. */
  readonly from: Int32Array;
  readonly to: Int32Array;
  /** Candidate that leads from the one to the other. */
  readonly by: Int32Array;
  /** States ending in frame f are `ending[f]`. */
  readonly ending: readonly (readonly number[])[];
  /** For each state its up to k cheapest totals, ascending, and the state and rank each came from. */
  readonly totals: Float64Array;
  readonly counts: Int32Array;
  readonly backState: Int32Array;
  readonly backRank: Int32Array;
}

function nextLayer(prior: Layer | null, candidates: readonly Candidate[], index: number, task: Task, costs: Costs, k: number): Layer {
  const onset = task.line.onsets[index]!;
  const frames: Frame[] = [];
  const known = new Map<string | number, number>();
  const froms = prior === null ? [null] : prior.frames;
  const count = froms.length * candidates.length;
  const layer = emptyLayer(prior?.frames ?? [], frames, candidates, count, k);
  const ending: number[][] = [];
  let state = 0;
  for (let f = 0; f < froms.length; f++) {
    const before = froms[f] as Frame | null;
    for (let c = 0; c < candidates.length; c++, state++) {
      const { struck, leftOut } = candidates[c]!;
      const frame = frameAfter(before, onset, struck, leftOut, task);
      const key = keyOf(frame, c);
      let to = known.get(key);
      if (to === undefined) {
        known.set(key, (to = frames.length));
        frames.push(frame);
        ending.push([]);
      }
      layer.from[state] = f;
      layer.to[state] = to;
      layer.by[state] = c;
      ending[to]!.push(state);
      costs.enter(frame, before);
      extend(layer, state, prior, f, costs, k);
    }
  }
  return { ...layer, ending };
}

function emptyLayer(priorFrames: readonly Frame[], frames: readonly Frame[], candidates: readonly Candidate[], count: number, k: number): Layer {
  return {
    priorFrames,
    frames,
    candidates,
    from: new Int32Array(count),
    to: new Int32Array(count),
    by: new Int32Array(count),
    ending: [],
    totals: new Float64Array(count * k),
    counts: new Int32Array(count),
    backState: new Int32Array(count * k),
    backRank: new Int32Array(count * k),
  };
}

/**
 * Two frames are one when the same fingers strike and the same ones hold the same strokes. What was let go
 * belongs to the step, not to the frame. A hand that strikes nothing stays where it was.
 */
function keyOf({ struck, held, centre, depth }: Frame, candidate: number): string | number {
  if (held.length === 0 && struck.length > 0) return candidate;
  let key = struck.length > 0 ? `${candidate}` : `${candidate}@${centre},${depth}`;
  for (const p of held) key += `,${p.finger}:${p.stroke.index}`;
  return key;
}

/** Keeps the k cheapest ways to come to a state over all states that end in the frame before. */
function extend(layer: Layer, state: number, prior: Layer | null, from: number, costs: Costs, k: number): void {
  if (prior === null) {
    layer.totals[state * k] = costs.pair() + costs.triple(null);
    layer.counts[state] = 1;
    layer.backState[state * k] = -1;
    return;
  }
  const pair = costs.pair();
  for (const before of prior.ending[from]!) {
    const step = pair + costs.triple(prior.priorFrames[prior.from[before]!] ?? null);
    const count = prior.counts[before]!;
    for (let rank = 0; rank < count; rank++) {
      if (!keep(layer, state, prior.totals[before * k + rank]! + step, before, rank, k)) break;
    }
  }
}

/** Inserts a way into a state's ascending list; false when it is too dear to be kept. */
function keep(layer: Layer, state: number, total: number, before: number, rank: number, k: number): boolean {
  const { totals, counts, backState, backRank } = layer;
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

function trace(layers: readonly Layer[], last: Layer, task: Task, k: number): readonly Found[] {
  const ends: { total: number; state: number; rank: number }[] = [];
  for (let state = 0; state < last.counts.length; state++) {
    for (let rank = 0; rank < last.counts[state]!; rank++) ends.push({ total: last.totals[state * k + rank]!, state, rank });
  }
  ends.sort((a, b) => a.total - b.total || a.state - b.state || a.rank - b.rank);
  return ends.slice(0, k).map(({ total, state, rank }) => ({ total, digits: digitsFrom(layers, state, rank, task, k) }));
}

function digitsFrom(layers: readonly Layer[], endState: number, endRank: number, task: Task, k: number): Digits {
  const digits = new Int8Array(task.line.strokes.length);
  let [state, rank] = [endState, endRank];
  for (let index = layers.length - 1; index >= 0; index--) {
    const layer = layers[index]!;
    for (const press of layer.candidates[layer.by[state]!]!.struck) digits[press.stroke.index] = press.finger;
    const at = state * k + rank;
    [state, rank] = [layer.backState[at]!, layer.backRank[at]!];
  }
  return digits;
}
