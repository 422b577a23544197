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

/** What a rule looks at in a take: kept beside it, so that another rule can be asked later. */
export interface CleanMeasures {
  readonly reachedEnd: boolean;
  readonly runs: number;
  readonly faults: number;
  /** Quarter notes a minute that were meant, and that were reached; null where that cannot be told. */
  readonly meant: number;
  readonly tempo: number | null;
  /** ms. */
  readonly evenness: number;
  /** ms by which the latest join comes late, 0 where none does. */
  readonly latest: number;
}

const FAULTS = ["missed", "wrong", "added", "twice", "neighbours"] as const;

/** Faults of a take, all kinds together. */
function faultsIn(figures: TakeFigures): number {
  return FAULTS.reduce((sum, id) => sum + (figures[id]?.amount ?? 0), 0);
}

/** What a rule looks at in a take that was heard. @param figures its own */
export function cleanMeasures({ onsets, read, take }: Heard, figures: TakeFigures): CleanMeasures {
  const last = onsets.at(-1);
  return {
    reachedEnd: read.runs.some(({ to }) => to === last?.index),
    runs: read.runs.length,
    faults: faultsIn(figures),
    meant: take.tempo,
    tempo: figures["tempo"]?.amount ?? null,
    evenness: figures["evenness"]?.amount ?? 0,
    latest: Math.max(0, ...(figures["lateness"]?.places.map(({ amount }) => amount) ?? [])),
  };
}

/**
 * Why a take is not clean, in sentences, the first one being what to look at first; none where it is. Only what was heard
 * counts: whether it was easy is the player's own word.
 */
export function uncleanWhy(measures: CleanMeasures, rule: CleanRule = USUAL_RULE): readonly string[] {
  const { reachedEnd, runs, faults, meant, tempo, evenness, latest } = measures;
  const why: string[] = [];
  if (!reachedEnd) why.push("It broke off before the end.");
  if (runs > rule.runs) why.push(`It began ${runs} times.`);
  if (faults > rule.faults) why.push(faults === 1 ? "One key went astray." : `${faults} keys went astray.`);
  if (tempo !== null && tempo < rule.tempo * meant)
    why.push(`It went at ${Math.round(tempo)}, not at ${Math.round(meant)}.`);
  if (evenness > rule.evenness) why.push(`Within groups it is uneven by ${Math.round(evenness)} ms.`);
  if (latest > rule.latest) why.push(`One join comes ${Math.round(latest)} ms late.`);
  return why;
}

/** Whether a take was clean by a rule. */
export function isClean(measures: CleanMeasures, rule: CleanRule = USUAL_RULE): boolean {
  return uncleanWhy(measures, rule).length === 0;
}
