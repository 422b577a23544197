import type { Layer } from "./layer";
import {
  changedBy,
  fingeredAfter,
  mayChange,
  refingeringsOf,
  type Fingered,
  type Refingering,
  type StayAt,
} from "./staying";
import type { Asked, Prior, Ways } from "./ways";

/**
 * The ways to each state of a layer while a hand stays: all that may be among the k cheapest in the end, whichever fingers the
 * keys get from here on. A way is let go where k others are so much cheaper that they stay so even if they break the stay
 * once for each key on which they have another finger.
 * @param prior the layer before and its ways; null for the first
 */
export function waysStaying(layer: Layer, asked: Asked, stay: StayAt, prior: Prior | null, k: number): Ways {
  const { open, shut, added } = asked;
  const { from, by, pair } = layer;
  const refingerings = refingeringsOf(stay, layer.candidates);
  const kept = new Kept(from.length, stay.worth, k);
  for (let state = 0; state < from.length; state++) {
    const candidate = by[state]!;
    if ((open === "all" || open[candidate]) && !shut?.[state]) {
      const strain = pair[state]! + (added ? added[candidate]! : 0);
      if (prior === null) kept.add(strain, -1, fingeredAfter(0, refingerings[candidate]!));
      else extend(kept, layer, state, strain, refingerings[candidate]!, stay.worth, prior, k);
    }
    kept.close(state);
  }
  return stay.isLast ? kept.forgotten() : kept.remembered();
}

/** Adds every way to come to a state by the ways of the layer before. */
function extend(
  kept: Kept,
  layer: Layer,
  state: number,
  strain: number,
  refingering: Refingering,
  worth: number,
  prior: Prior,
  k: number,
): void {
  const { totals, counts, staying } = prior.ways;
  const befores = prior.layer.ending[layer.from[state]!]!;
  for (let n = 0; n < befores.length; n++) {
    const before = befores[n]!;
    const first = staying === null ? before * k : staying.first[before]!;
    // The ways to a state come cheapest first, and no step costs less than nothing.
    if (counts[before] === 0 || kept.isOutdoneFrom(totals[first]! + strain)) continue;
    const step = strain + layer.triple(state, n);
    for (let way = first; way < first + counts[before]! && !kept.isOutdoneFrom(totals[way]! + step); way++) {
      const had = staying === null ? 0 : staying.fingered[way]!;
      kept.add(totals[way]! + step + worth * changedBy(had, refingering), way, fingeredAfter(had, refingering));
    }
  }
}

/** The ways that may be among the k cheapest in the end, state by state, cheapest first. */
class Kept {
  private readonly totals: number[] = [];
  private readonly back: number[] = [];
  private readonly fingered: Fingered[] = [];
  private readonly states: number[] = [];
  private readonly first: Int32Array;
  /** Those of the state in hand: totals, where they come from, what they remember, and their order. */
  private readonly found: { totals: number[]; back: number[]; fingered: Fingered[]; order: number[] };
  private count = 0;
  /** Total from which on every way to the state in hand is outdone, as far as is known; only looked for where one is kept. */
  private limit = Infinity;

  constructor(
    states: number,
    private readonly worth: number,
    private readonly k: number,
  ) {
    this.first = new Int32Array(states + 1);
    this.found = { totals: [], back: [], fingered: [], order: [] };
  }

  /** Whether a way to the state in hand that comes to so much, or more, is outdone whatever it remembers. */
  isOutdoneFrom(total: number): boolean {
    return total >= this.limit;
  }

  /** A way to the state in hand. */
  add(total: number, from: number, fingered: Fingered): void {
    if (this.isOutdoneFrom(total)) return;
    if (this.k === 1) this.limit = Math.min(this.limit, total + this.worth * mayChange(fingered, 0));
    const { totals, back, fingered: remembered, order } = this.found;
    const way = this.count++;
    totals[way] = total;
    back[way] = from;
    remembered[way] = fingered;
    let at = way;
    for (; at > 0 && totals[order[at - 1]!]! > total; at--) order[at] = order[at - 1]!;
    order[at] = way;
  }

  /** All ways to a state have been added, the next are of the next: what k others outdo is let go. */
  close(state: number): void {
    const { totals, back, fingered, order } = this.found;
    for (let i = 0; i < this.count; i++) {
      const way = order[i]!;
      if (this.isOutdone(this.first[state]!, totals[way]!, fingered[way]!)) continue;
      this.totals.push(totals[way]!);
      this.back.push(back[way]!);
      this.fingered.push(fingered[way]!);
      this.states.push(state);
    }
    this.first[state + 1] = this.totals.length;
    this.count = 0;
    this.limit = Infinity;
  }

  private isOutdone(start: number, total: number, fingered: Fingered): boolean {
    let cheaper = 0;
    for (let i = start; i < this.totals.length; i++)
      if (this.totals[i]! + this.worth * mayChange(this.fingered[i]!, fingered) <= total && ++cheaper === this.k)
        return true;
    return false;
  }

  remembered(): Ways {
    const { totals, back, first, states, fingered } = this;
    return {
      totals: new Float64Array(totals),
      back: new Int32Array(back),
      counts: this.counts(),
      staying: { first, states, fingered },
    };
  }

  /** Where a stay has ended all ways remember the same: no more than k are kept of each state. */
  forgotten(): Ways {
    const { first, states, k } = this;
    const size = (first.length - 1) * k;
    const [totals, back] = [new Float64Array(size), new Int32Array(size)];
    for (let way = 0; way < states.length; way++) {
      const at = states[way]! * k + way - first[states[way]!]!;
      totals[at] = this.totals[way]!;
      back[at] = this.back[way]!;
    }
    return { totals, back, counts: this.counts(), staying: null };
  }

  private counts(): Int32Array {
    const counts = new Int32Array(this.first.length - 1);
    for (let state = 0; state < counts.length; state++) counts[state] = this.first[state + 1]! - this.first[state]!;
    return counts;
  }
}
