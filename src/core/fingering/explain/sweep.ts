import type { Fingering } from "../study/fingering";
import { judge, type Judged, type Study } from "../study/study";

/** Strain of some fingerings against tempo. */
export interface Sweep {
  /** Quarter notes a minute, whole, from slow to fast. */
  readonly tempos: readonly number[];
  /** One a fingering, in the order given. */
  readonly curves: readonly Curve[];
  /** Tempi at which the order changes, slowest first; none when the same fingering order holds throughout. */
  readonly flips: readonly Flip[];
}

interface Curve {
  /** Mean strain at each tempo. */
  readonly strain: readonly number[];
  /** Of each cause that is found at any tempo, the share of the mean strain at each. */
  readonly causes: Readonly<Record<string, readonly number[]>>;
}

export interface Flip {
  /** The first whole tempo at which the new order holds. */
  readonly tempo: number;
  /** Places of the fingerings, easiest first, below and from that tempo on. */
  readonly before: readonly number[];
  readonly after: readonly number[];
}

/** Strains nearer to one another than this count as equal, and equal ones keep the order they had. */
const EQUAL = 1e-9;

/**
 * Prices fingerings at every whole tempo of a range and finds where their order changes, to the beat per minute.
 * A generator: it yields how many tempi are done, so that it can be stopped.
 * @param low slowest tempo, quarter notes a minute, rounded up
 * @param high fastest tempo, rounded down; no less than low
 * @throws RangeError where the range holds no whole tempo
 */
export function* sweeping(
  study: Study,
  fingerings: readonly Fingering[],
  low: number,
  high: number,
): Generator<number, Sweep> {
  const tempos = wholeTempos(low, high);
  const judged: Judged[][] = fingerings.map(() => []);
  for (const [done, tempo] of tempos.entries()) {
    const at: Study = { ...study, manner: { ...study.manner, tempo } };
    fingerings.forEach((fingering, i) => judged[i]!.push(judge(at, fingering)));
    yield done + 1;
  }
  const curves = judged.map(curveOf);
  return { tempos, curves, flips: flipsOf(tempos, curves) };
}

function wholeTempos(low: number, high: number): readonly number[] {
  const [from, to] = [Math.ceil(low), Math.floor(high)];
  if (!(from <= to)) throw new RangeError(`There is no whole tempo from ${low} to ${high}.`);
  return Array.from({ length: to - from + 1 }, (_, i) => from + i);
}

function curveOf(judged: readonly Judged[]): Curve {
  const causes: Record<string, number[]> = {};
  judged.forEach(({ notes }, at) => {
    const all = Object.values(notes);
    for (const { causes: found } of all) {
      for (const { cause, strain } of found) {
        causes[cause] ??= judged.map(() => 0);
        causes[cause][at]! += strain / all.length;
      }
    }
  });
  return { strain: judged.map((j) => j.strain), causes };
}

function flipsOf(tempos: readonly number[], curves: readonly Curve[]): readonly Flip[] {
  const flips: Flip[] = [];
  let order = curves.map((_, i) => i);
  tempos.forEach((tempo, at) => {
    const next = inOrder(order, curves, at);
    if (at > 0 && next.some((fingering, place) => fingering !== order[place]))
      flips.push({ tempo, before: order, after: next });
    order = next;
  });
  return flips;
}

/** Easiest first; those that are equal stay in the order they had. */
function inOrder(order: readonly number[], curves: readonly Curve[], at: number): number[] {
  return [...order].sort((a, b) => {
    const apart = curves[a]!.strain[at]! - curves[b]!.strain[at]!;
    return Math.abs(apart) < EQUAL ? 0 : apart;
  });
}
