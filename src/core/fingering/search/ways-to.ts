import type { Layer } from "./layer";
import { linksTo, type Asked, type Prior, type Ways } from "./ways";
import { waysStaying } from "./ways-staying";

/**
 * The k cheapest ways to come to each state of a layer, by state and rank; totals are strains summed over the onsets so far.
 * @param prior the layer before and its ways; null for the first
 * @param spare ways no longer needed, whose totals and counts are written over where they are large enough
 */
export function waysTo(layer: Layer, asked: Asked, prior: Prior | null, k: number, spare: Ways | null): Ways {
  if (asked.stay !== null) return waysStaying(layer, asked, asked.stay, prior, k);
  const { open, shut, added } = asked;
  const count = layer.from.length;
  const orders = prior === null ? [] : prior.layer.ending.map((befores) => cheapestFirst(befores, prior.ways, k));
  const ways = noWays(count, prior, k, spare);
  for (let state = 0; state < count; state++) {
    if ((open !== "all" && !open[layer.by[state]!]) || shut?.[state]) continue;
    const pair = layer.pair[state]! + (added ? added[layer.by[state]!]! : 0);
    if (prior === null) keep(ways, state, pair, -1, k);
    else if (k === 1) extendByBest(ways, state, pair, layer, prior, orders[layer.from[state]!]!);
    else extend(ways, state, pair, layer, prior, orders[layer.from[state]!]!, k);
  }
  return ways;
}

/** Room for the ways to so many states, before there is one. */
function noWays(count: number, prior: Prior | null, k: number, spare: Ways | null): Ways {
  const fits = spare !== null && spare.staying === null && spare.counts.length === count;
  return {
    totals: fits ? spare.totals : new Float64Array(count * k),
    counts: fits ? spare.counts.fill(0) : new Int32Array(count),
    back: linksTo(prior && prior.ways.totals.length, count * k),
    staying: null,
  };
}

/** The places of some states to which there is a way, the cheapest first. */
function cheapestFirst(states: readonly number[], { totals, counts }: Ways, k: number): readonly number[] {
  const order: number[] = [];
  for (let n = 0; n < states.length; n++) {
    if (counts[states[n]!] === 0) continue;
    const total = totals[states[n]! * k]!;
    let at = order.length;
    for (; at > 0 && totals[states[order[at - 1]!]! * k]! > total; at--) order[at] = order[at - 1]!;
    order[at] = n;
  }
  return order;
}

/**
 * Keeps the cheapest way alone, of equal ones the first: `extend` for a k of 1. What costs more before the step than
 * another after it need not be looked at.
 * @param order of the states that end in the state's first frame, the cheapest first
 */
function extendByBest(
  { totals, counts, back }: Ways,
  state: number,
  pair: number,
  layer: Layer,
  prior: Prior,
  order: readonly number[],
): void {
  const befores = prior.layer.ending[layer.from[state]!]!;
  let least = Infinity;
  let from = -1;
  for (const n of order) {
    const before = befores[n]!;
    const had = prior.ways.totals[before]!;
    if (had > least) break;
    const total = had + layer.triple(state, n);
    if (total > least || (total === least && before > from)) continue;
    least = total;
    from = before;
  }
  if (from < 0) return;
  totals[state] = least + pair;
  back[state] = from;
  counts[state] = 1;
}

/**
 * Keeps the k cheapest ways to come to a state over all states that end in the frame before; of equal ones the first.
 * @param order of those states, the one with the cheapest way first
 */
function extend(
  ways: Ways,
  state: number,
  pair: number,
  layer: Layer,
  prior: Prior,
  order: readonly number[],
  k: number,
): void {
  const befores = prior.layer.ending[layer.from[state]!]!;
  const { totals, counts } = prior.ways;
  for (const n of order) {
    const first = befores[n]! * k;
    // No step costs less than nothing: what is too dear before it need not be looked at, nor what is dearer still.
    if (totals[first]! + pair > roomIn(ways, state, k)) break;
    const step = pair + layer.triple(state, n);
    for (let way = first; way < first + counts[befores[n]!]!; way++) {
      if (!keep(ways, state, totals[way]! + step, way, k)) break;
    }
  }
}

/** What one more way may not cost more than if it is to be kept: Infinity while there is room for more. */
function roomIn({ totals, counts }: Ways, state: number, k: number): number {
  return counts[state] === k ? totals[state * k + k - 1]! : Infinity;
}

/** Inserts a way into a state's ascending list, of equal ones in the order of where they come from; false when it is too dear to be kept. */
function keep(ways: Ways, state: number, total: number, from: number, k: number): boolean {
  const { totals, counts, back } = ways;
  const base = state * k;
  const count = counts[state]!;
  if (count === k && !isBefore(ways, base + k - 1, total, from)) return false;
  let at = base + Math.min(count, k - 1);
  while (at > base && isBefore(ways, at - 1, total, from)) {
    totals[at] = totals[at - 1]!;
    back[at] = back[at - 1]!;
    at--;
  }
  totals[at] = total;
  back[at] = from;
  if (count < k) counts[state] = count + 1;
  return true;
}

/** Whether a way comes before the one that is kept at a place. */
function isBefore({ totals, back }: Ways, at: number, total: number, from: number): boolean {
  return total < totals[at]! || (total === totals[at] && from < back[at]!);
}
