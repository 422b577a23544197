import type { Step } from "../fingering/study/steps";
import type { Judged } from "../fingering/study/study";
import type { NoteId } from "../passage/note";
import type { OnsetTried } from "./against-prediction";
import type { Felt } from "./felt";
import type { BarTried } from "./lag";
import { meanOf } from "./statistics";

/** What a map needs of a take. */
export interface TakeMapped {
  /** How many faults at each note that has any. */
  readonly astray: Readonly<Record<NoteId, number>>;
  /** ms late at each onset that can be told, by its first note. */
  readonly late: Readonly<Record<NoteId, number>>;
  readonly felt: Pick<Felt, "amount" | "bars"> | null;
}

/** What was predicted, what went astray and what was felt, on the same onsets and bars. */
export interface TrialMap {
  readonly onsets: readonly (OnsetTried & { readonly bar: string })[];
  readonly bars: readonly BarTried[];
  /** How many takes it is of. */
  readonly takes: number;
}

/**
 * Lays some takes of one fingering over the prediction, onset by onset and bar by bar. A bar's tension is the mean over the
 * takes in which something was said: what was felt elsewhere counts as none in this bar.
 * @param steps of the passage, in order
 */
export function mapOf(steps: readonly Step[], judged: Judged, takes: readonly TakeMapped[]): TrialMap {
  const bars = [...new Set(steps.map(({ bar }) => bar))];
  const place = new Map(bars.map((bar, i) => [bar, i]));
  const felt = takes.flatMap((take) => take.felt ?? []);
  const tension = new Map(
    bars.map((bar, i) => {
      const amounts = felt.map(({ amount, bars: in_ }) => {
        const [from, to] = in_
          ? [place.get(in_.from) ?? 0, place.get(in_.to) ?? bars.length - 1]
          : [0, bars.length - 1];
        return i >= from && i <= to ? amount : 0;
      });
      return [bar, amounts.length === 0 ? null : meanOf(amounts)];
    }),
  );
  const each = Math.max(1, takes.length);
  const onsets = steps.map(({ bar, notes }) => ({
    note: notes[0]!,
    bar,
    strain: Math.max(0, ...notes.map((id) => judged.notes[id]?.strain ?? 0)),
    faults: takes.reduce((sum, { astray }) => sum + notes.reduce((own, id) => own + (astray[id] ?? 0), 0), 0) / each,
    late: meanLate(takes, notes),
    tension: tension.get(bar) ?? null,
  }));
  return {
    onsets,
    bars: bars.map((bar) => ({
      bar,
      tension: tension.get(bar) ?? 0,
      faults: onsets.filter((onset) => onset.bar === bar).reduce((sum, { faults }) => sum + faults, 0),
    })),
    takes: takes.length,
  };
}

/** Mean ms by which an onset came late, early counting against it; null where it was told in no take. */
function meanLate(takes: readonly TakeMapped[], notes: readonly NoteId[]): number | null {
  const told = takes.flatMap(({ late }) => notes.flatMap((id) => late[id] ?? []));
  return told.length === 0 ? null : meanOf(told);
}
