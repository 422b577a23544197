import { meanOf } from "./statistics";
import type { TrialMap } from "./map";

/** A passage of a piece with the map of its takes. */
export interface PassageMapped {
  readonly id: string;
  readonly title: string;
  readonly map: TrialMap;
}

/** One bar of a piece, with what its passages say of it. */
export interface BarMapped {
  /** As numbered on paper. */
  readonly bar: string;
  /** Mean strain as predicted, 0 to 100 and beyond; null where no passage with takes has it. */
  readonly strain: number | null;
  /** Faults a take. */
  readonly faults: number | null;
  /** Felt, 0 to 10; null where nothing was said. */
  readonly tension: number | null;
  /** Those with takes there, by their places in what was given. */
  readonly passages: readonly number[];
}

/**
 * Lays the maps of a piece's passages over its bars. Where passages overlap, takes count each for itself: faults and tension are
 * means over all of them, strain the mean of the passages'.
 * @param bars of the piece, in order, as numbered on paper
 */
export function pieceMapOf(bars: readonly string[], passages: readonly PassageMapped[]): readonly BarMapped[] {
  const indexed = passages.map(({ map }) => new Map(map.bars.map((one) => [one.bar, one])));
  return bars.map((bar) => {
    const here = indexed.flatMap((found, i) => (found.has(bar) ? [i] : []));
    const takes = here.reduce((sum, i) => sum + passages[i]!.map.takes, 0);
    const over = (of: (i: number) => number): number | null =>
      takes === 0 ? null : here.reduce((sum, i) => sum + of(i) * passages[i]!.map.takes, 0) / takes;
    const felt = here.flatMap((i) =>
      passages[i]!.map.onsets.flatMap((o) => (o.bar === bar && o.tension !== null ? [i] : [])),
    );
    const strains = here.map((i) => meanOf(passages[i]!.map.onsets.flatMap((o) => (o.bar === bar ? [o.strain] : []))));
    return {
      bar,
      strain: here.length === 0 ? null : meanOf(strains),
      faults: over((i) => indexed[i]!.get(bar)!.faults),
      tension: felt.length === 0 ? null : over((i) => indexed[i]!.get(bar)!.tension),
      passages: here,
    };
  });
}
