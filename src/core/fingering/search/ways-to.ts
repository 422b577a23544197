import type { Layer } from "./layer";
import type { Asked, Prior, Ways } from "./ways";
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
  const fits = spare !== null && spare.staying === null && spare.counts.length === count;
  const ways: Ways = {
    totals: fits ? spare.totals : new Float64Array(count * k),
    counts: fits ? spare.counts.fill(0) : new Int32Array(count),
    back: new Int32Array(count * k),
    staying: null,
  };
  for (let state = 0; state < count; state++) {
    if ((open !== "all" && !open[layer.by[state]!]) || shut?.[state]) continue;
    const pair = layer.pair[state]! + (added ? added[layer.by[state]!]! : 0);
    if (prior === null) keep(ways, state, pair, -1, k);
    else if (k === 1) extendByBest(ways, state, pair, layer, prior.layer.ending[layer.from[state]!]!, prior.ways);
    else extend(ways, state, pair, layer, prior.layer.ending[layer.from[state]!]!, prior.ways, k);
  }
  return ways;
}

/** Keeps the cheapest way alone: `extend` for a k of 1. */
function extendByBest(
  { totals, counts, back }: Ways,
  state: number,
  pair: number,
  { triple, tripleStart }: Layer,
  befores: readonly number[],
  prior: Ways,
): void {
  const start = tripleStart[state]!;
  let [least, from] = [Infinity, -1];
  for (let n = 0; n < befores.length; n++) {
    const before = befores[n]!;
    const total = prior.totals[before]! + triple[start + n]!;
    if (total < least && prior.counts[before] === 1) [least, from] = [total, before];
  }
  if (from < 0) return;
  totals[state] = least + pair;
  back[state] = from;
  counts[state] = 1;
}

/** Keeps the k cheapest ways to come to a state over all states that end in the frame before. */
function extend(
  ways: Ways,
  state: number,
  pair: number,
  layer: Layer,
  befores: readonly number[],
  prior: Ways,
  k: number,
): void {
  const start = layer.tripleStart[state]!;
  for (let n = 0; n < befores.length; n++) {
    const before = befores[n]!;
    const step = pair + layer.triple[start + n]!;
    const end = before * k + prior.counts[before]!;
    for (let way = before * k; way < end; way++) {
      if (!keep(ways, state, prior.totals[way]! + step, way, k)) break;
    }
  }
}

/** Inserts a way into a state's ascending list; false when it is too dear to be kept. */
function keep({ totals, counts, back }: Ways, state: number, total: number, from: number, k: number): boolean {
  const base = state * k;
  const count = counts[state]!;
  if (count === k && total >= totals[base + k - 1]!) return false;
  let at = base + Math.min(count, k - 1);
  while (at > base && totals[at - 1]! > total) {
    totals[at] = totals[at - 1]!;
    back[at] = back[at - 1]!;
    at--;
  }
  totals[at] = total;
  back[at] = from;
  if (count < k) counts[state] = count + 1;
  return true;
}
