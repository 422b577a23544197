import { WEIGHTS } from "../fingering/cost/weights";
import type { Study } from "../fingering/study/study";

/**
 * Which returns keep the figure's fingers: "alike", those that feel the same under the hand (the same keys, or
 * octaves); "all", every one that can; "none".
 */
export const TYING = ["none", "alike", "all"] as const;
export type Tying = (typeof TYING)[number];

/** Strain that it may cost, a note, that what returns on the same keys keeps its fingers. */
export function worthOfKeeping({ weights = WEIGHTS }: Pick<Study, "weights">, tying: Exclude<Tying, "none">): number {
  return weights.memory * (tying === "all" ? weights.memoryAsked : 1);
}
