import { CLEAN } from "../physics";
import type { TakeFigures } from "./figures";
import type { Heard } from "./heard";

/** What a take must keep to, to be clean. The player may set each. */
export interface CleanRule {
  /** Missed, wrong, added, struck twice and neighbours caught, together. */
  readonly faults: number;
  /** ms of unevenness within groups. */
  readonly evenness: number;
  /** ms by which the latest join may come late. */
  readonly latest: number;
  /** Share of the tempo meant, 0 to 1. */
  readonly tempo: number;
  /** Runs; more than one is to have begun again. */
  readonly runs: number;
}

export const USUAL_RULE: CleanRule = CLEAN;

const FAULTS = ["missed", "wrong", "added", "twice", "neighbours"] as const;

/** Faults of a take, all kinds together. */
export function faultsIn(figures: TakeFigures): number {
  return FAULTS.reduce((sum, id) => sum + (figures[id]?.amount ?? 0), 0);
}

/**
 * Why a take is not clean, in sentences, the first one being what to look at first; none where it is. Only what was heard
 * counts: whether it was easy is the player's own word.
 */
export function uncleanWhy(heard: Heard, figures: TakeFigures, rule: CleanRule = USUAL_RULE): readonly string[] {
  const why: string[] = [];
  const last = heard.onsets.at(-1);
  const reached = heard.read.runs.some(({ to }) => to === last?.index);
  if (!reached) why.push("It broke off before the end.");
  if (heard.read.runs.length > rule.runs) why.push(`It began ${heard.read.runs.length} times.`);
  const faults = faultsIn(figures);
  if (faults > rule.faults) why.push(faults === 1 ? "One key went astray." : `${faults} keys went astray.`);
  const tempo = figures["tempo"]?.amount;
  if (tempo !== undefined && tempo < rule.tempo * heard.take.tempo)
    why.push(`It went at ${Math.round(tempo)}, not at ${Math.round(heard.take.tempo)}.`);
  const uneven = figures["evenness"]?.amount ?? 0;
  if (uneven > rule.evenness) why.push(`Within groups it is uneven by ${Math.round(uneven)} ms.`);
  const latest = Math.max(0, ...(figures["lateness"]?.places.map(({ amount }) => amount) ?? []));
  if (latest > rule.latest) why.push(`One join comes ${Math.round(latest)} ms late.`);
  return why;
}
