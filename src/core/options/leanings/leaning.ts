import type { Manner } from "../../passage/passage";
import type { Tying } from "../../figures/tying";
import type { Weights } from "../../fingering/cost/weights";

/** What a player may want more of than the plain sum of strains gives. Each is a file in leanings/. */
export interface Leaning {
  readonly id: string;
  /** As the player reads it. */
  readonly label: string;
  /** What it does, in a sentence. */
  readonly what: string;
  /** The weights it searches by; judging is always by the plain ones. */
  weigh(plain: Weights): Weights;
  /** How the passage is played, where the leaning has a say in that. */
  readonly manner?: Pick<Manner, "arpeggios">;
  /** Whether an option found by it keeps its digits, as far as they are worth it, when something more is asked of it. */
  readonly keepsDigits?: true;
  /** Which figures that return keep their fingers; those that feel the same where nothing is said. */
  readonly tying?: Tying;
}

/** Some weights multiplied. */
export function times(plain: Weights, factors: Partial<Record<keyof Weights, number>>): Weights {
  const weights = { ...plain } as Record<keyof Weights, number | readonly number[]>;
  for (const [name, factor] of Object.entries(factors) as [keyof Weights, number][]) {
    const value = weights[name];
    weights[name] = typeof value === "number" ? value * factor : value.map((v) => v * factor);
  }
  return weights as unknown as Weights;
}
