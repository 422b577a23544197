import type { Digits } from "../study/fingering";
import { searchingApart } from "./apart";
import { searchingBonded, type Found } from "./bonded";
import type { Lattice } from "./lattice";
import type { Progress } from "./search";
import type { Terms } from "./terms";
import type { Tie } from "./ties";

/**
 * The k best with nothing tied; of those that strain as little as the best that comes first which keeps the most of what settles
 * between them. What these are worth is so little that the answer is exact all the same.
 */
export function* searchingSettled(
  lattices: readonly Lattice[],
  terms: readonly Terms[],
  settling: readonly Tie[],
  k: number,
): Generator<Progress, Found> {
  if (settling.length === 0) return yield* searchingApart(lattices, terms, k);
  const { found: first } = yield* searchingBonded(lattices, terms, settling, 1);
  if (k === 1) return { found: first, exact: true };
  const { found } = yield* searchingApart(lattices, terms, k);
  const others = found.filter(({ item }) => !areSame(item, first[0]!.item));
  return { found: [...first, ...others].slice(0, k), exact: true };
}

function areSame(one: readonly Digits[], other: readonly Digits[]): boolean {
  return one.every((digits, line) => digits.every((digit, stroke) => digit === other[line]![stroke]));
}
