import { TOLD } from "../../physics";
import type { CauseJudged } from "../study/study";

/** Causes of one note as a pianist wants them told: those that matter, and the rest folded. */
export interface Told {
  readonly told: readonly CauseJudged[];
  readonly folded: readonly CauseJudged[];
}

/**
 * The findings of a note that are told at once, and the rest: at most TOLD.most, and none below TOLD.least but the first.
 * @param causes of one note, largest strain first
 */
export function mattering(causes: readonly CauseJudged[]): Told {
  const count = Math.min(TOLD.most, causes.filter(({ strain }) => strain >= TOLD.least).length);
  return { told: causes.slice(0, count), folded: causes.slice(count) };
}
