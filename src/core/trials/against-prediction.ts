import type { NoteId } from "../passage/note";
import { PARTING } from "../physics";
import { rankCorrelation } from "./statistics";

/** What was predicted of an onset, and what happened there over some takes. */
export interface OnsetTried {
  readonly note: NoteId;
  /** Strain as predicted, 0 to 100 and beyond. */
  readonly strain: number;
  /** Faults a take. */
  readonly faults: number;
  /** Mean ms late; null where it cannot be told. */
  readonly late: number | null;
  /** Tension felt, 0 to 10; null where nothing was said. */
  readonly tension: number | null;
}

/** A place at which prediction and playing part. */
interface Parting {
  readonly note: NoteId;
  /** What was looked for where nothing happened, or what happened where nothing was looked for. */
  readonly kind: "harder than predicted" | "easier than predicted";
  /** By how much of all onsets its rank is off, 0 to 1. */
  readonly by: number;
}

export interface Predicted {
  /** Spearman's rank correlations of predicted strain; null where there is nothing to correlate. */
  readonly faults: number | null;
  readonly late: number | null;
  readonly tension: number | null;
  /** Where strain and faults part most, the farthest first. */
  readonly partings: readonly Parting[];
}

/** Holds what was predicted against what happened, onset by onset. */
export function againstPrediction(onsets: readonly OnsetTried[]): Predicted {
  const correlated = (of: (onset: OnsetTried) => number | null): number | null => {
    const known = onsets.flatMap((onset) => {
      const value = of(onset);
      return value === null ? [] : [[onset.strain, value] as const];
    });
    return rankCorrelation(
      known.map(([strain]) => strain),
      known.map(([, value]) => value),
    );
  };
  return {
    faults: correlated(({ faults }) => faults),
    late: correlated(({ late }) => late),
    tension: correlated(({ tension }) => tension),
    partings: partingsOf(onsets),
  };
}

function partingsOf(onsets: readonly OnsetTried[]): readonly Parting[] {
  const shares = (values: readonly number[]): readonly number[] =>
    values.map((value) => {
      const under = values.filter((other) => other < value).length;
      const same = values.filter((other) => other === value).length;
      return (under + (same - 1) / 2) / Math.max(1, values.length - 1);
    });
  const [strains, faults] = [shares(onsets.map((o) => o.strain)), shares(onsets.map((o) => o.faults))];
  return onsets
    .map(({ note }, i): Parting => {
      const off = faults[i]! - strains[i]!;
      return { note, kind: off > 0 ? "harder than predicted" : "easier than predicted", by: Math.abs(off) };
    })
    .filter(({ by }) => by >= PARTING.least)
    .sort((a, b) => b.by - a.by)
    .slice(0, PARTING.most);
}
