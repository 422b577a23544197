import { KEYBOARD } from "../../physics";
import type { Onset } from "../../passage/line";
import type { Steps } from "./layer";

/**
 * Steps and their costs, kept by what they depend on: the keys of two or three onsets as seen from the lowest, the
 * times between them, and what their strokes are beyond that. Only of onsets through which nothing is held, for one hand that
 * plays in one manner and is judged by one set of weights: any search of it finds what another has laid out.
 */
export class KnownSteps {
  private readonly byName = new Map<string, Known>();
  private readonly triples = new Map<number, Float64Array>();
  private made = 0;
  private numbers = 0;

  /** What is known by a name; null where nothing is. */
  find(name: string | null): Known | null {
    return (name !== null && this.byName.get(name)) || null;
  }

  /** Keeps steps by their name; all that was kept before goes where there is no more room. */
  add(name: string | null, steps: Steps): Known {
    if (name === null) return { id: null, steps };
    this.makeRoom(NUMBERS_A_STATE * steps.from.length);
    const known = { id: this.made++, steps };
    this.byName.set(name, known);
    return known;
  }

  /** What steps cost after others, as far as anybody has asked: NaN elsewhere. */
  triplesAfter(prior: Known | null, now: Known, size: number): Float64Array {
    if (prior === null || prior.id === null || now.id === null) return unasked(size);
    const name = prior.id * MOST_MADE + now.id;
    let triples = this.triples.get(name);
    if (triples === undefined) {
      this.makeRoom(size);
      this.triples.set(name, (triples = unasked(size)));
    }
    return triples;
  }

  private makeRoom(numbers: number): void {
    this.numbers += numbers;
    if (this.numbers <= MOST_NUMBERS) return;
    this.byName.clear();
    this.triples.clear();
    this.numbers = numbers;
  }
}

/** Steps and the number they are known by, another for each that ever was; null where they are like no others. */
export interface Known {
  readonly id: number | null;
  readonly steps: Steps;
}

/** Numbers kept at most, 8 bytes each: 8 MB. A choice. */
const MOST_NUMBERS = 1_000_000;
/** What a state of steps takes, in such numbers. */
const NUMBERS_A_STATE = 3;
/** More than are ever made: two numbers below it are told by one. */
const MOST_MADE = 2 ** 26;

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
