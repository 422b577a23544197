import { drain } from "@/core/drain";
import { price } from "@/core/fingering/cost/price";
import type { Weights } from "@/core/fingering/cost/weights";
import { latticeOf, type Lattice } from "@/core/fingering/search/lattice";
import { searching } from "@/core/fingering/search/search";
import { BY_FINGER, termsOf, type Terms } from "@/core/fingering/search/terms";
import type { Digits } from "@/core/fingering/study/fingering";
import { tasksOf } from "@/core/fingering/study/study";
import type { Task } from "@/core/fingering/study/task";
import type { Line } from "@/core/passage/line";
import { geared, type Gauge } from "./gauges";
import { studyOfCase } from "./grade";
import type { KindCase } from "./kind";

/** By how much a case misses its margin, in strain, and how that changes with the logarithm of each gauge; no slope where it does not. */
export interface Miss {
  readonly loss: number;
  readonly slope: Float64Array | null;
}

const KEPT: Miss = { loss: 0, slope: null };
/** By how much a gauge is turned to see what it does. */
const TURN = 1.01;

/** Ways accepted at each onset, each a digit a stroke; none where any will do. */
type Ways = readonly (readonly string[])[];

/**
 * An accepted fingering should strain less than every other, by `margin` for each digit in which that differs from all that are
 * accepted, with no figure remembered. The fingering that misses this most is found exactly: by the search, with accepted
 * digits made dearer by the margin.
 * @param given with accepted fingerings, not a rule
 */
export function missOf(given: KindCase, weights: Weights, gauges: readonly Gauge[], margin: number): Miss {
  const [task] = tasksOf(studyOfCase(given, weights));
  const lattice = latticeOf(task!);
  const accepted = (given.accepted as readonly string[]).map(waysOf);
  const good = easiestOf(task!, lattice, accepted);
  if (!good) return KEPT;
  const { dearer, asked } = acceptedDearer(task!.line, accepted, margin);
  const worst = bestIn(lattice, { ...termsOf(task!.line, {}), dearer })!;
  let agreed = 0;
  worst.forEach((digit, stroke) => (agreed += dearer[stroke * BY_FINGER + digit]!));
  const [least, other] = [price(task!, good).total, price(task!, worst).total];
  const loss = least + margin * asked - (other + agreed);
  if (loss <= 1e-6) return KEPT;
  const slope = Float64Array.from(gauges, (gauge) => {
    const turned: Task = { ...task!, weights: geared(weights, gauge, TURN) };
    return (price(turned, good).total - least - (price(turned, worst).total - other)) / Math.log(TURN);
  });
  return { loss, slope };
}

function waysOf(words: string): Ways {
  return words
    .trim()
    .split(/\s+/)
    .map((word) => (word === "*" ? [] : word.split("|")));
}

function bestIn(lattice: Lattice, terms: Terms): Digits | null {
  return drain(searching(lattice, terms, 1))[0]?.digits ?? null;
}

/** Of all that is accepted what strains least; null where no finger can play it so. */
function easiestOf(task: Task, lattice: Lattice, accepted: readonly Ways[]): Digits | null {
  let [best, least]: [Digits | null, number] = [null, Infinity];
  for (const ways of accepted) {
    const digits = bestIn(lattice, confinedTo(task.line, ways));
    const total = digits ? price(task, digits).total : Infinity;
    if (total < least) [best, least] = [digits, total];
  }
  return best;
}

/** Terms that confine a line to accepted digits; of several ways to play a chord to the first. */
function confinedTo(line: Line, ways: Ways): Terms {
  const terms = termsOf(line, {});
  const [pins, ruledOut] = [Int8Array.from(terms.pins), Uint8Array.from(terms.ruledOut)];
  line.onsets.forEach(({ struck }, i) => {
    const at = ways[i]!;
    if (at.length === 0) return;
    struck.forEach(({ index }, j) => {
      const digits = new Set((struck.length === 1 ? at : [at[0]!]).map((way) => Number(way[j])));
      if (digits.has(0)) return;
      if (digits.size === 1) pins[index] = [...digits][0]!;
      else for (let finger = 1; finger <= 5; finger++) if (!digits.has(finger)) ruledOut[index]! |= 1 << finger;
    });
  });
  return { ...terms, pins, ruledOut };
}

/** Strain added to accepted digits, by stroke and finger, and how many strokes ask for some: at the others any digit will do. */
function acceptedDearer(
  line: Line,
  accepted: readonly Ways[],
  margin: number,
): { readonly dearer: Float64Array; readonly asked: number } {
  const dearer = new Float64Array(line.strokes.length * BY_FINGER);
  let asked = 0;
  line.onsets.forEach(({ struck }, i) =>
    struck.forEach(({ index }, j) => {
      const digits = new Set(accepted.flatMap((ways) => ways[i]!.map((way) => Number(way[j]))));
      if (digits.size > 0) asked++;
      for (const digit of digits) dearer[index * BY_FINGER + digit] = margin;
    }),
  );
  return { dearer, asked };
}
