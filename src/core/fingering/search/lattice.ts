import { candidatesFor, type Candidate, type PinnedDigits } from "../candidates";
import { frameAfter, type Frame } from "../frame";
import type { Onset } from "../../passage/line";
import type { Task } from "../task";
import { costsOf, type Costs } from "./costs";
import { knownSteps, MOST_KEPT } from "./known-steps";
import type { Layer } from "./layer";

/** The layers of a line, built when first asked for and kept: pins and k change, steps and their costs do not. */
export interface Lattice {
  readonly task: Task;
  layer(index: number): Layer;
}

/** @param pins fingers that every layer is confined to; none for a lattice that serves all pins */
export function latticeOf(task: Task, pins?: PinnedDigits): Lattice {
  const { onsets, strokes } = task.line;
  const layers: Layer[] = [];
  const costs = costsOf(task);
  const known = pins ? null : knownSteps();
  const confined = pins ?? new Int8Array(strokes.length);
  return {
    task,
    layer(index) {
      while (layers.length <= index) layers.push(next());
      return layers[index]!;
    },
  };

  function next(): Layer {
    const index = layers.length;
    const onset = onsets[index]!;
    const candidates = candidatesFor(onset, confined, task);
    const playable = candidates.every((c) => c.struck.length > 0);
    const key = playable ? (known?.keyFor(layers, onsets, index, 3) ?? null) : null;
    const met = key === null ? undefined : known!.steps.get(key);
    if (met !== undefined) {
      const frames = candidates.map(({ struck, leftOut }) => frameAfter(null, onset, struck, leftOut, task));
      return { ...met, frames, candidates };
    }
    const pairKey = playable && index > 0 ? (known?.keyFor(layers, onsets, index, 2) ?? null) : null;
    const pairs = pairKey === null ? undefined : known!.pairs.get(pairKey);
    const layer = laidOut(layers[index - 1] ?? null, layers[index - 2] ?? null, onset, candidates, task, costs, pairs);
    const { from, by, ending, pair, triple, tripleStart } = layer;
    keep(known?.steps, key, { from, by, ending, pair, triple, tripleStart });
    keep(known?.pairs, pairKey, pair);
    return layer;
  }
}

function keep<T>(kept: Map<string, T> | undefined, key: string | null, value: T): void {
  if (kept !== undefined && key !== null && kept.size < MOST_KEPT) kept.set(key, value);
}

/** @param pairs what the causes that look at one frame or two cost, where that is known */
function laidOut(
  prior: Layer | null,
  beforePrior: Layer | null,
  onset: Onset,
  candidates: readonly Candidate[],
  task: Task,
  costs: Costs,
  pairs: Float64Array | undefined,
): Layer {
  const froms: readonly (Frame | null)[] = prior === null ? [null] : prior.frames;
  const count = froms.length * candidates.length;
  const frames: Frame[] = [];
  const ending: number[][] = [];
  const known = new Map<string | number, number>();
  const [from, by, tripleStart] = [new Int32Array(count), new Int32Array(count), new Int32Array(count)];
  const pair = pairs ?? new Float64Array(count);
  const triple = new Float64Array(
    prior === null ? 0 : prior.ending.reduce((sum, states) => sum + states.length, 0) * candidates.length,
  );
  let [state, filled] = [0, 0];
  for (let f = 0; f < froms.length; f++) {
    for (let c = 0; c < candidates.length; c++, state++) {
      const { struck, leftOut } = candidates[c]!;
      const frame = frameAfter(froms[f] as Frame | null, onset, struck, leftOut, task);
      from[state] = f;
      by[state] = c;
      endIn(frame, c, state);
      costs.enter(frame, froms[f] as Frame | null);
      if (pairs === undefined) pair[state] = costs.pair() + (prior === null ? costs.triple(null) : 0);
      tripleStart[state] = filled;
      for (const before of prior?.ending[f] ?? [])
        triple[filled++] = costs.triple(beforePrior?.frames[prior!.from[before]!] ?? null);
    }
  }
  return { frames, candidates, from, by, ending, pair, triple, tripleStart };

  function endIn(frame: Frame, candidate: number, ends: number): void {
    const key = keyOf(frame, candidate);
    let to = known.get(key);
    if (to === undefined) {
      known.set(key, (to = frames.length));
      frames.push(frame);
      ending.push([]);
    }
    ending[to]!.push(ends);
  }
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
