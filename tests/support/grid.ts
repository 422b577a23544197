/** Points of an interval, its ends among them, no farther apart than a step. */
export function grid(least: number, most: number, step: number): number[] {
  const count = Math.max(1, Math.ceil((most - least) / step));
  return most <= least ? [least] : Array.from({ length: count + 1 }, (_, i) => least + ((most - least) * i) / count);
}

/** Visits every way to take one of each list. The array is filled anew at each visit: copy what is kept. */
export function visitProduct<T>(lists: readonly (readonly T[])[], visit: (taken: readonly T[]) => void): void {
  const taken: T[] = [];
  const descend = (depth: number): void => {
    if (depth === lists.length) return visit(taken);
    for (const value of lists[depth]!) {
      taken[depth] = value;
      descend(depth + 1);
    }
  };
  descend(0);
}

/** The places whose every price is finite, with their prices. */
export function reachable<P extends Record<string, number>>(
  places: readonly number[],
  price: (at: number) => P,
): (P & { at: number })[] {
  return places.flatMap((at) => {
    const priced = price(at);
    return Object.values(priced).every(Number.isFinite) ? [{ ...priced, at }] : [];
  });
}
