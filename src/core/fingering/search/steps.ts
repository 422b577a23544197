import type { Candidate } from "../frames/candidates";
import { frameAfter, type Frame } from "../frames/frame";
import type { Onset } from "../../passage/line";
import type { Task } from "../study/task";
import type { Costs } from "./costs";
import type { Layer, Steps } from "./layer";

/** Where steps are laid out: an onset, what comes before it, and what judges them. */
export interface Site {
  readonly onset: Onset;
  /** The layer that the steps come from, and the one before; null where the line begins. */
  readonly prior: Layer | null;
  readonly beforePrior: Layer | null;
  /** Whether nothing is held from before: then each candidate makes one frame, wherever it comes from. */
  readonly isLoose: boolean;
  readonly task: Task;
  readonly costs: Costs;
}

/** Steps, and what they strike and end in. */
export interface Laid {
  readonly steps: Steps;
  readonly candidates: readonly Candidate[];
  readonly frames: readonly Frame[];
  readonly free: boolean;
}

/** Every step to an onset by some ways to strike it. */
export function layOut(site: Site, candidates: readonly Candidate[]): Laid {
  const isPlayed = candidates.every(({ struck }) => struck.length > 0);
  const { steps, frames } = site.isLoose && isPlayed ? freeSteps(site, candidates) : heldSteps(site, candidates);
  return { steps, candidates, frames, free: isPlayed && frames.every(({ held }) => held.length === 0) };
}

/** The frames of some ways to strike an onset into which nothing is held. */
export function looseFrames({ onset, task }: Site, candidates: readonly Candidate[]): readonly Frame[] {
  return candidates.map(({ struck, leftOut }) => frameAfter(null, onset, struck, leftOut, task));
}

type Stepped = Pick<Laid, "steps" | "frames">;

function freeSteps(site: Site, candidates: readonly Candidate[]): Stepped {
  const frames = looseFrames(site, candidates);
  const befores = site.prior?.frames ?? [null];
  const { from, by, ending } = shapeOf(befores.length, candidates.length);
  const [letGo, pair] = [new Uint8Array(from.length), new Float64Array(from.length)];
  const alone = frames.map((frame) => site.costs.single(frame));
  for (let state = 0; state < from.length; state++) {
    const to = by[state]!;
    letGo[state] = Number(site.costs.enter(frames[to]!, befores[from[state]!]!));
    pair[state] = alone[to]! + enteringCost(site);
  }
  return { steps: { from, by, ending, letGo, pair }, frames };
}

function heldSteps(site: Site, candidates: readonly Candidate[]): Stepped {
  const { onset, prior, task, costs } = site;
  const befores: readonly (Frame | null)[] = prior?.frames ?? [null];
  const { from, by } = statesBetween(befores.length, candidates.length);
  const [letGo, pair] = [new Uint8Array(from.length), new Float64Array(from.length)];
  const ends = new Ends();
  for (let state = 0; state < from.length; state++) {
    const before = befores[from[state]!]!;
    const { struck, leftOut } = candidates[by[state]!]!;
    const frame = frameAfter(before, onset, struck, leftOut, task);
    ends.add(frame, by[state]!, state);
    letGo[state] = Number(costs.enter(frame, before));
    pair[state] = costs.single(frame) + enteringCost(site);
  }
  return { steps: { from, by, ending: ends.ending, letGo, pair }, frames: ends.frames };
}

/** Cost of the step that the costs have turned to, but for the frame it ends in. */
function enteringCost({ costs, prior }: Site): number {
  return costs.pair() + (prior === null ? costs.triple(null, false) : 0);
}

/** The states between so many frames and as many ways to strike, each reached from each. */
function statesBetween(froms: number, tos: number): Pick<Steps, "from" | "by"> {
  const states = Array.from({ length: froms * tos }, (_, state) => state);
  return {
    from: Int32Array.from(states, (state) => Math.floor(state / tos)),
    by: Int32Array.from(states, (state) => state % tos),
  };
}

type Shape = Pick<Steps, "from" | "by" | "ending">;

/** Every shape of free steps that was asked for: few, for there are no more frames than ways to strike. */
const shapes = new Map<string, Shape>();

/** The states of free steps: those that strike alike end in one frame. */
function shapeOf(froms: number, tos: number): Shape {
  const name = `${froms},${tos}`;
  let shape = shapes.get(name);
  if (shape === undefined) {
    const ending = Array.from({ length: tos }, (_, to) => Array.from({ length: froms }, (__, from) => from * tos + to));
    shapes.set(name, (shape = { ...statesBetween(froms, tos), ending }));
  }
  return shape;
}

/** The frames that states end in, each once, with the states. */
class Ends {
  readonly frames: Frame[] = [];
  readonly ending: number[][] = [];
  private readonly known = new Map<string | number, number>();

  add(frame: Frame, candidate: number, state: number): void {
    const key = keyOf(frame, candidate);
    let to = this.known.get(key);
    if (to === undefined) {
      this.known.set(key, (to = this.frames.length));
      this.frames.push(frame);
      this.ending.push([]);
    }
    this.ending[to]!.push(state);
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
