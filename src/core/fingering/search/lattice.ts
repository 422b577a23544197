import { candidatesFor, type PinnedDigits } from "../frames/candidates";
import type { Task } from "../study/task";
import { costsOf } from "./costs";
import { stepsKeptOf } from "./kept-steps";
import { goesOnPast, nameOfSteps, type Known } from "./known-steps";
import { LaidLayer } from "./laid-layer";
import type { Layer } from "./layer";
import { layOut, type Laid, type Site } from "./steps";

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
  const known = stepsKeptOf(task);
  const confined = pins ?? new Int8Array(strokes.length);
  let lastKnown: Known | null = null;
  return {
    task,
    layer(index) {
      while (layers.length <= index) layers.push(next());
      return layers[index]!;
    },
  };

  function next(): Layer {
    const index = layers.length;
    const [onset, before] = [onsets[index]!, onsets[index - 1] ?? null];
    const [prior, beforePrior] = [layers[index - 1] ?? null, layers[index - 2] ?? null];
    const isLoose = before === null || (prior!.free && !goesOnPast(before, index));
    const name = isLoose && pins === undefined ? nameOfSteps(before, onset) : null;
    const site: Site = { onset, prior, beforePrior, isLoose, task, costs };
    let [now, laid]: [Known | null, Laid | null] = [known.find(name), null];
    if (now === null) {
      laid = layOut(site, candidatesFor(onset, confined, task));
      now = known.add(laid.free ? name : null, laid.steps);
    }
    const most = prior === null ? 0 : mostOf(prior.ending);
    const triples = known.triplesAfter(lastKnown, now, now.steps.from.length * most);
    lastKnown = now;
    return new LaidLayer(site, now.steps, laid, triples);
  }
}

function mostOf(lists: readonly (readonly number[])[]): number {
  return lists.reduce((most, { length }) => Math.max(most, length), 0);
}
