import { KEYBOARD } from "../../physics";
import type { Onset } from "../../passage/line";
import type { Layer } from "./layer";

/** What a layer has besides its own frames and candidates: the same wherever the same figure is played the same way. */
export type Steps = Pick<Layer, "from" | "by" | "ending" | "letGo" | "pair" | "triple" | "tripleStart">;

/**
 * Steps and their costs, kept by what they depend on: the keys of two or three onsets as seen from the lowest, the
 * times between them, and what their strokes are beyond that. Only of onsets through which nothing is held.
 */
export interface KnownSteps {
  /**
   * What the steps to an onset depend on, going back over so many onsets, itself counted.
   * @returns null where they depend on more
   */
  keyFor(layers: readonly Layer[], onsets: readonly Onset[], index: number, over: 2 | 3): string | null;
  readonly steps: Map<string, Steps>;
  /** Costs of the causes that look at one frame or two. */
  readonly pairs: Map<string, Float64Array>;
}

/** Figures kept at most; what comes after is laid out anew each time. */
export const MOST_KEPT = 20_000;

/** An empty store of what steps cost, to be kept between searches of one task. */
export function knownSteps(): KnownSteps {
  return { keyFor, steps: new Map(), pairs: new Map() };
}

function keyFor(layers: readonly Layer[], onsets: readonly Onset[], index: number, over: 2 | 3): string | null {
  const first = Math.max(0, index - over + 1);
  let lowest: number = KEYBOARD.highestKey;
  for (let i = first; i <= index; i++) {
    if (i < index && !layers[i]!.free) return null;
    for (const { key, until } of onsets[i]!.struck) {
      if ((i < index && until > i + 1) || key === KEYBOARD.lowestKey || key === KEYBOARD.highestKey) return null;
      if (key < lowest) lowest = key;
    }
  }
  let code = `${index - first}:${lowest % 12}`;
  for (let i = first; i <= index; i++) {
    // The time before the first of them bears on none of their steps.
    code += i === first ? ";" : `;${onsets[i]!.gap}${onsets[i]!.swept ? "~" : ""}`;
    code += signOf(onsets[i]!, lowest);
  }
  return code;
}

/** The keys of an onset as seen from the lowest, what its strokes are beyond that, and whether it is the last. */
function signOf({ struck, last, sign }: Onset, lowest: number): string {
  let code = "";
  for (const { key } of struck) code += `,${key - lowest}`;
  return code + sign + (last ? "!" : "");
}
