/** Something with a cost. */
export interface Costed<T> {
  readonly total: number;
  readonly item: T;
}

/**
 * The k cheapest ways to take one item from each list, cheapest first, exactly; each list ascending.
 * Used to put the hands together. Equal sums keep the order of the lists.
 */
export function mergeBest<T>(lists: readonly (readonly Costed<T>[])[], k: number): readonly Costed<readonly T[]>[] {
  let best: readonly Costed<readonly T[]>[] = [{ total: 0, item: [] }];
  for (const list of lists) {
    const sums = best.flatMap((left) =>
      list.map((right) => ({ total: left.total + right.total, item: [...left.item, right.item] })),
    );
    best = sums.sort((a, b) => a.total - b.total).slice(0, k);
  }
  return best;
}
