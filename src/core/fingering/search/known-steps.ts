import { KEYBOARD } from "../../physics";
import type { Onset } from "../../passage/line";
import type { Steps } from "./layer";

/**
 * Steps and their costs, kept by what they depend on: the keys of two or three onsets as seen from the lowest, the
 * times between them, and what their strokes are beyond that. Only of onsets through which nothing is held.
 */
export class KnownSteps {
  private readonly byName = new Map<string, Known>();
  private readonly triples = new Map<number, Float64Array>();

  /** What is known by a name; null where nothing is. */
  find(name: string | null): Known | null {
    return (name !== null && this.byName.get(name)) || null;
  }

  /** Keeps steps by their name as long as there is room. */
  add(name: string | null, steps: Steps): Known {
    const known = { id: this.byName.size, steps };
    if (name === null || known.id >= MOST_KEPT) return { id: null, steps };
    this.byName.set(name, known);
    return known;
  }

  /** What steps cost after others, as far as anybody has asked: NaN elsewhere. */
  triplesAfter(prior: Known | null, now: Known, size: number): Float64Array {
    if (prior === null || prior.id === null || now.id === null) return unasked(size);
    const name = prior.id * MOST_KEPT + now.id;
    let triples = this.triples.get(name);
    if (triples === undefined) {
      triples = unasked(size);
      if (this.triples.size < MOST_KEPT) this.triples.set(name, triples);
    }
    return triples;
  }
}

/** Steps and the number they are known by; null where they are like no others. */
export interface Known {
  readonly id: number | null;
  readonly steps: Steps;
}

/** Figures kept at most; what comes after is laid out anew each time. */
const MOST_KEPT = 20_000;

function unasked(size: number): Float64Array {
  return new Float64Array(size).fill(NaN);
}

/** What the steps from one onset to the next depend on, where nothing is held from before; null where they depend on more. */
export function nameOfSteps(before: Onset | null, now: Onset): string | null {
  const lowest = before === null ? now.struck[0]!.key : Math.min(before.struck[0]!.key, now.struck[0]!.key);
  if (isAtEdge(now) || (before !== null && (isAtEdge(before) || goesOnPast(before, now.index)))) return null;
  // The time before the first of a line bears on none of its steps.
  const come = before === null ? "" : `${signOf(before, lowest)};${now.gap}${now.swept ? "~" : ""}`;
  return `${lowest % 12}:${come}${signOf(now, lowest)}`;
}

/** Beyond the last keys there is nothing to reach for: what is played on them is like nothing else. */
function isAtEdge({ struck }: Onset): boolean {
  return struck[0]!.key === KEYBOARD.lowestKey || struck.at(-1)!.key === KEYBOARD.highestKey;
}

/** Whether something struck at an onset is still held at another. */
export function goesOnPast({ struck }: Onset, index: number): boolean {
  return struck.some(({ until }) => until > index);
}

/** The keys of an onset as seen from the lowest, what its strokes are beyond that, and whether it is the last. */
function signOf({ struck, last, sign }: Onset, lowest: number): string {
  let code = "";
  for (const { key } of struck) code += `,${key - lowest}`;
  return code + sign + (last ? "!" : "");
}
