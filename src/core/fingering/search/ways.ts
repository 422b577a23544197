import type { Layer } from "./layer";
import type { Fingered, StayAt } from "./staying";

/** Whether candidates are open: "all" of them where nothing is asked. */
export type Open = "all" | readonly boolean[];

/**
 * For each state of a layer its up to k cheapest totals, ascending, and the way of the layer before that each came
 * from. Way number state * k + rank, but where a hand stays.
 */
export interface Ways {
  readonly totals: Float64Array;
  readonly counts: Int32Array;
  readonly back: Links;
  /** Null where no hand stays, or where nothing of it is remembered any more. */
  readonly staying: Staying | null;
}

/** Numbers of ways of the layer before, in as narrow a list as holds them: there is one for each layer of a line. */
export type Links = Uint8Array | Uint16Array | Int32Array;

/** @param ways how many there are in the layer before; null where there is none, and nothing to link to */
export function linksTo(ways: number | null, size: number): Links {
  if (ways === null || ways <= 2 ** 8) return new Uint8Array(size);
  return ways <= 2 ** 16 ? new Uint16Array(size) : new Int32Array(size);
}

/** Ways that remember which finger each key of a stay had: more than k a state, for each may be the cheapest in the end. */
interface Staying {
  /** The first way of each state. */
  readonly first: Int32Array;
  /** By way, its state and what it remembers. */
  readonly states: readonly number[];
  readonly fingered: readonly Fingered[];
}

/** The state that a way is of. */
export function stateOf({ staying }: Pick<Ways, "staying">, way: number, k: number): number {
  return staying === null ? Math.floor(way / k) : staying.states[way]!;
}

/** What the player's terms make of a layer. */
export interface Asked {
  readonly open: Open;
  /** By state, 1 where it may not be entered; null where all may. */
  readonly shut: Uint8Array | null;
  /** Strain added by candidate; null where none is. */
  readonly added: Float64Array | null;
  /** What a stay asks; null where no hand stays. */
  readonly stay: StayAt | null;
}

/** The layer before, and the ways to it. */
export interface Prior {
  readonly layer: Layer;
  readonly ways: Ways;
}
