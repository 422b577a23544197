import { candidatesFor, type Candidate, type PinnedDigits } from "../frames/candidates";
import { frameAfter, type Frame } from "../frames/frame";
import type { Onset } from "../../passage/line";
import type { Task } from "../study/task";
import { costsOf, type Costs } from "./costs";
import { knownSteps, MOST_KEPT, type Steps } from "./known-steps";
import type { Layer } from "./layer";

/** The layers of a line, built when first asked for and kept: pins and k change, steps and their costs do not. */
export interface Lattice {
  readonly task: Task;
  layer(index: number): Layer;
}

/**
 * Everything one hand can do in its line: every candidate of every onset, and what each step strains.
 * @param pins fingers that every layer is confined to; none for a lattice that serves all pins
 */
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
    const key = known?.keyFor(layers, onsets, index, 3) ?? null;
    const met = key === null ? undefined : known!.steps.get(key);
    if (met !== undefined) return new MetLayer(met, onset, task);
    const candidates = candidatesFor(onset, confined, task);
    // What hangs on where the hand was before is like nothing else.
    const playable = candidates.every((c) => c.struck.length > 0);
    const pairKey = playable && index > 0 ? (known?.keyFor(layers, onsets, index, 2) ?? null) : null;
    const pairs = pairKey === null ? undefined : known!.pairs.get(pairKey);
    const layer = laidOut(layers[index - 1] ?? null, layers[index - 2] ?? null, onset, candidates, task, costs, pairs);
    const { from, by, ending, letGo, pair, triple, tripleStart } = layer;
    keep(known?.steps, playable ? key : null, { from, by, ending, letGo, pair, triple, tripleStart });
    keep(known?.pairs, pairKey, pair);
    return layer;
  }
}

/** A layer whose steps were met before: its frames and candidates are made when they are wanted. */
class MetLayer implements Layer {
  readonly free = true;
  readonly from;
  readonly by;
  readonly ending;
  readonly letGo;
  readonly pair;
  readonly triple;
  readonly tripleStart;
  private struckBy: readonly Candidate[] | null = null;
  private lying: readonly Frame[] | null = null;

  constructor(
    { from, by, ending, letGo, pair, triple, tripleStart }: Steps,
    private readonly onset: Onset,
    private readonly task: Task,
  ) {
    this.from = from;
    this.by = by;
    this.ending = ending;
    this.letGo = letGo;
    this.pair = pair;
    this.triple = triple;
    this.tripleStart = tripleStart;
  }

  get candidates(): readonly Candidate[] {
    return (this.struckBy ??= candidatesFor(this.onset, NO_PINS, this.task));
  }

  get frames(): readonly Frame[] {
    return (this.lying ??= this.candidates.map(({ struck, leftOut }) =>
      frameAfter(null, this.onset, struck, leftOut, this.task),
    ));
  }
}

/** Reads as free for every stroke. */
const NO_PINS = new Int8Array(0);

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
  const known: Known = new Map();
  const [from, by, tripleStart] = [new Int32Array(count), new Int32Array(count), new Int32Array(count)];
  const letGo = new Uint8Array(count);
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
      endIn(frames, ending, known, frame, c, state);
      letGo[state] = Number(costs.enter(frame, froms[f] as Frame | null));
      if (pairs === undefined) pair[state] = costs.pair() + (prior === null ? costs.triple(null, false) : 0);
      tripleStart[state] = filled;
      for (const before of prior?.ending[f] ?? [])
        triple[filled++] = costs.triple(beforePrior?.frames[prior!.from[before]!] ?? null, prior!.letGo[before] === 1);
    }
  }
  const free = frames.every(({ held, struck }) => held.length === 0 && struck.length > 0);
  return { frames, candidates, free, from, by, ending, letGo, pair, triple, tripleStart };
}

/** Adds a state to those that end in its frame, which is added where it is new. */
function endIn(
  frames: Frame[],
  ending: number[][],
  known: Known,
  frame: Frame,
  candidate: number,
  state: number,
): void {
  const key = keyOf(frame, candidate);
  let to = known.get(key);
  if (to === undefined) {
    known.set(key, (to = frames.length));
    frames.push(frame);
    ending.push([]);
  }
  ending[to]!.push(state);
}

type Known = Map<string | number, number>;

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
