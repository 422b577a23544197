import type { Candidate } from "../frames/candidates";
import type { Frame } from "../frames/frame";

/** The steps from the frames of one layer to those of the next, by state; see Layer. */
export interface Steps {
  readonly from: Int32Array;
  readonly by: Int32Array;
  /** States that end in frame f are `ending[f]`. */
  readonly ending: readonly (readonly number[])[];
  /** 1 where the hand lets go in state s. */
  readonly letGo: Uint8Array;
  /** Cost of state s itself: causes that look at one frame or two. In the first layer all causes. */
  readonly pair: Float64Array;
}

/**
 * The frames possible at one onset, the states that end in them, and what each step costs.
 *
 * A frame (what is struck and what is still held) follows from the frame before and the fingers that strike.
 * A state is a pair of consecutive frames: state s comes from frame `from[s]` of the layer before (0 in the
 * first layer) and strikes by candidate `by[s]`.
 */
export interface Layer extends Steps {
  /** Worked out when first asked for, like the candidates: most are never looked at where the steps are known. */
  readonly frames: readonly Frame[];
  readonly candidates: readonly Candidate[];
  /** Whether nothing is held into it and every way to strike it puts the hand somewhere. */
  readonly free: boolean;
  /**
   * Cost, 0 or more, of coming to a state from the n-th state that ends in its first frame: causes that look at three frames.
   * Worked out when it is wanted. Not asked for in the first layer.
   */
  triple(state: number, n: number): number;
}
