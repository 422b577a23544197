import { PLACEMENT } from "../physics";

/** What adds to the strain of a placement. Their sum is its strain. */
export interface PlacementCauses {
  /** The opening or closing of the most strained pair: 0 relaxed, 50 comfortable, 100 widest. */
  readonly opening: number;
  /** The opening kept up long, and under a load: shares of the opening. */
  readonly held: number;
  readonly load: number;
  /** Tips that must lie nearer or farther than the hand at ease has them. */
  readonly uneven: number;
  /** An inner finger raised on a black key between outer ones on white, held upright. */
  readonly raised: number;
  /** The wrist bent sideways. */
  readonly wrist: number;
  /** Keys played deep, where they are heavy. */
  readonly depth: number;
  /** The shape and tilt themselves. */
  readonly way: number;
}

/** What is asked of a placement beyond finding it. */
export interface Demand {
  /** ms that the keys are held. */
  readonly heldMs: number;
  /** 0 for soft to 1 for as loud as can be. */
  readonly load: number;
}

export const AT_ONCE: Demand = { heldMs: 0, load: 0 };

/**
 * Shares of the opening's strain that holding it long and loading it add. Rising straight to their most; both
 * a choice, after the common finding that an opening which is easy once is not easy held or loud.
 */
export function gainOf({ heldMs, load }: Demand): { readonly held: number; readonly load: number } {
  const { heldGain, heldMsFull, loadGain } = PLACEMENT;
  return {
    held: heldGain * Math.min(1, Math.max(0, heldMs) / heldMsFull),
    load: loadGain * Math.min(1, Math.max(0, load)),
  };
}

/** The strain of a placement, 0 at ease and 100 at the limits of a pair; Infinity where one is broken. */
export function total({ opening, held, load, uneven, raised, wrist, depth, way }: PlacementCauses): number {
  return opening + held + load + uneven + raised + wrist + depth + way;
}
