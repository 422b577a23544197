import { writeFileSync } from "node:fs";
import { candidatesFor } from "@/core/fingering/frames/candidates";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import { frameAfter, type Frame } from "@/core/fingering/frames/frame";
import { costsOf } from "@/core/fingering/search/costs";
import type { Task } from "@/core/fingering/study/task";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { lineOf } from "@/core/passage/line";
import { placementsOf } from "@/core/placement/placements";
import { passageOfKeys } from "@/core/passage/of-keys";
import { seeded } from "../tests/support/seeded";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO, qualityCases, TUNED_ON, type QualityCase } from "./cases";

/**
 * A calibration aid, run by hand: seeded annealing over the weights on the standard fingerings. It raises
 * the agreement, and with equal agreement lowers the regret, the share by which the accepted fingering costs
 * more than the best one. A person decides which weights to adopt.
 *
 * Every cause is linear in the weights, so each case is laid out once as the amounts that the weights are
 * multiplied with, and a set of weights is then tried in milliseconds.
 * Usage: tsx quality/tune.ts SEED ROUNDS FILE, where FILE receives the best weights so far
 */
const [seed = "1", rounds = "20000", out = "/tmp/weights.json"] = process.argv.slice(2);
const { next: random } = seeded(Number(seed));

/** The range in which each weight keeps its meaning; weights not named here are not calibrated on single lines. */
const RANGES: Partial<Record<keyof Weights, readonly [number, number]>> = {
  opening: [0.03, 0.6],
  openingBeyond: [0.3, 1.5],
  crowding: [0.1, 0.5],
  carry: [0.02, 0.5],
  shortfall: [0.05, 1],
  position: [4, 20],
  positionPerMm: [0.02, 0.5],
  thumbPass: [4, 20],
  thumbPassUnder: [0, 3],
  neighbourPerMm: [0.15, 0.8],
  thumbPassAgainst: [8, 30],
  thumbPassLevel: [0.5, 12],
  thumbPassPerMm: [0.02, 0.8],
  thumbPassFinger: [0, 25],
  thumbOnBlack: [10, 40],
  littleOnBlack: [3, 20],
  blackBesideWhite: [3, 25],
  weakFinger: [1, 10],
  weakRow: [1, 10],
  weakPair: [0.5, 8],
  fourthInside: [0, 5],
  inOut: [0.03, 0.5],
  rotation: [0.5, 6],
  sameFinger: [5, 30],
  sameFingerPerHz: [3, 12],
};

interface Knob {
  readonly name: keyof Weights;
  readonly index: number | null;
  readonly range: readonly [number, number];
}

const KNOBS: readonly Knob[] = (Object.keys(RANGES) as (keyof Weights)[]).flatMap((name): Knob[] => {
  const range = RANGES[name]!;
  if (!Array.isArray(WEIGHTS[name])) return [{ name, index: null, range }];
  // Only the fourth and fifth finger are weak.
  return (WEIGHTS[name] as number[]).flatMap((_, index) =>
    name === "weakFinger" && index < 3 ? [] : [{ name, index, range }],
  );
});

function withKnobs(values: readonly number[]): Weights {
  const weights = structuredClone(WEIGHTS) as unknown as Record<string, number | number[]>;
  KNOBS.forEach(({ name, index }, k) => {
    if (index === null) weights[name] = values[k]!;
    else (weights[name] as number[])[index] = values[k]!;
  });
  return weights as unknown as Weights;
}

const FINGERS = 5;

/** One case laid out: for each onset, pair and triple of fingers the amounts by knob, sparse. */
interface LaidOut {
  readonly given: QualityCase;
  readonly pairs: readonly Sparse[];
  readonly triples: readonly Sparse[];
}

interface Sparse {
  readonly knobs: Uint8Array;
  readonly amounts: Float64Array;
}

/** Weights outside the knobs are set to nothing here: they do not bear on single lines, but for crossing. */
const UNIT = KNOBS.map((_, k) => withKnobs(KNOBS.map((__, i) => (i === k ? 1 : 0)))).map((w) => ({
  ...w,
  crossing: 0,
}));
const CROSSING_ONLY = { ...withKnobs(KNOBS.map(() => 0)), crossing: WEIGHTS.crossing };

function layOut(given: QualityCase): LaidOut {
  const manner = { tempo: QUALITY_TEMPO, touch: "legato", pedal: false } as const;
  const line = lineOf(passageOfKeys(given.keys, "1/4", given.side), given.side, manner);
  const hand = handOfRulerSpan(given.side, QUALITY_RULER_SPAN);
  const task: Task = {
    line,
    hand,
    instrument: FULL_SIZE,
    placements: placementsOf(hand, FULL_SIZE),
    manner,
    weights: WEIGHTS,
  };
  const costs = [...UNIT, CROSSING_ONLY].map((weights) => costsOf({ ...task, weights }));
  const frames = line.onsets.map((onset) =>
    candidatesFor(onset, new Int8Array(given.keys.length), task).map((c) =>
      frameAfter(null, onset, c.struck, c.leftOut, task),
    ),
  );
  const [pairs, triples]: [Sparse[], Sparse[]] = [[], []];
  for (let t = 0; t < frames.length; t++) {
    for (let i = 0; i < (t === 0 ? 1 : FINGERS); i++) {
      for (let j = 0; j < FINGERS; j++) {
        const [now, before] = [frames[t]![j]!, t === 0 ? null : frames[t - 1]![i]!];
        pairs[(t * FINGERS + i) * FINGERS + j] = sparse(
          costs.map((c) => (c.enter(now, before), c.pair() + (t === 0 ? c.triple(null) : 0))),
        );
        for (let h = 0; t > 0 && h < (t === 1 ? 1 : FINGERS); h++) {
          const earlier: Frame | null = t === 1 ? null : frames[t - 2]![h]!;
          triples[((t * FINGERS + h) * FINGERS + i) * FINGERS + j] = sparse(
            costs.map((c) => (c.enter(now, before), c.triple(earlier))),
          );
        }
      }
    }
  }
  return { given, pairs, triples };
}

function sparse(values: readonly number[]): Sparse {
  const knobs = values.flatMap((v, k) => (v === 0 ? [] : [k]));
  return { knobs: Uint8Array.from(knobs), amounts: Float64Array.from(knobs, (k) => values[k]!) };
}

function dot({ knobs, amounts }: Sparse, values: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < knobs.length; i++) sum += amounts[i]! * values[knobs[i]!]!;
  return sum;
}

/** A case's costs by some weights: of each pair, and of each three fingers. */
interface Costs {
  readonly pair: (t: number, i: number, j: number) => number;
  readonly triple: (t: number, h: number, i: number, j: number) => number;
}

function costsBy({ pairs, triples }: LaidOut, values: Float64Array): Costs {
  const pair = Float64Array.from(pairs, (p) => (p ? dot(p, values) : 0));
  const triple = Float64Array.from(triples, (p) => (p ? dot(p, values) : 0));
  return {
    pair: (t, i, j) => pair[(t * FINGERS + i) * FINGERS + j]!,
    triple: (t, h, i, j) => triple[((t * FINGERS + h) * FINGERS + i) * FINGERS + j]!,
  };
}

const ALL = [0, 1, 2, 3, 4];

/** The least cost with some fingers fixed (0 where free), by the same recurrence as the search. */
function cheapest(n: number, { pair, triple }: Costs, pins: readonly number[]): number {
  const allowed = (t: number): readonly number[] => (pins[t] ? [pins[t] - 1] : ALL);
  let total = new Float64Array(25).fill(Infinity);
  for (const j of allowed(0))
    for (const i of allowed(1)) total[j * 5 + i] = pair(0, 0, j) + pair(1, j, i) + triple(1, 0, j, i);
  for (let t = 2; t < n; t++) {
    const next = new Float64Array(25).fill(Infinity);
    for (const h of allowed(t - 2))
      for (const i of allowed(t - 1)) {
        const before = total[h * 5 + i]!;
        for (const j of allowed(t)) {
          const sum = before + pair(t, i, j) + triple(t, h, i, j);
          if (sum < next[i * 5 + j]!) next[i * 5 + j] = sum;
        }
      }
    total = next;
  }
  return Math.min(...total);
}

const PERIOD = 7;

/** The same for two octaves of a scale whose second octave is fingered like the first, its three tonics left free. */
function cheapestTied({ pair, triple }: Costs): number {
  const joined = (t: number, h: number, i: number, j: number): number => pair(t, i, j) + triple(t, h, i, j);
  let least = Infinity;
  for (const a of ALL)
    for (const b of ALL) {
      const begun = Math.min(
        ...ALL.map((first) => pair(0, 0, first) + pair(1, first, a) + triple(1, 0, first, a) + joined(2, first, a, b)),
      );
      let total = new Float64Array(25).fill(Infinity);
      total[a * 5 + b] = begun;
      for (let t = 3; t < PERIOD; t++) {
        const next = new Float64Array(25).fill(Infinity);
        for (const h of ALL)
          for (const i of ALL) {
            const before = total[h * 5 + i]!;
            if (before === Infinity) continue;
            for (const j of ALL) {
              const sum = before + joined(t, h, i, j) + joined(t + PERIOD, h, i, j);
              if (sum < next[i * 5 + j]!) next[i * 5 + j] = sum;
            }
          }
        total = next;
      }
      for (const h of ALL)
        for (const i of ALL) {
          const link = Math.min(...ALL.map((m) => joined(7, h, i, m) + joined(8, i, m, a) + joined(9, m, a, b)));
          const end = Math.min(...ALL.map((last) => joined(14, h, i, last)));
          least = Math.min(least, total[h * 5 + i]! + link + end);
        }
    }
  return least;
}

const laidOut = TUNED_ON.flatMap((table) => qualityCases(table)).map(layOut);
const pinsOf = laidOut.map(({ given }) =>
  given.accepted.map((digits) => digits.map((d, i) => (given.graded.includes(i) ? d : 0))),
);

/** Where the weights begin: as they are. */
const STARTS = KNOBS.map(({ name, index, range: [least, most] }) => {
  const start = index === null ? (WEIGHTS[name] as number) : (WEIGHTS[name] as readonly number[])[index]!;
  return Math.min(most, Math.max(least, start));
});

/** Part of a case's score that being right is worth, and what a regret costs. */
const RIGHT = 1;
const REGRET = 8;
/** What it costs to move a weight far from where it began, by the square of the logarithm. */
const FAR = 0.03;

function score(knobs: readonly number[]): { share: number; value: number } {
  const values = Float64Array.from([...knobs, 1]);
  let [right, value] = [0, 0];
  laidOut.forEach((laid, place) => {
    const costs = costsBy(laid, values);
    const n = laid.given.keys.length;
    const free = n === 2 * PERIOD + 1 ? cheapestTied(costs) : cheapest(n, costs, []);
    const accepted = Math.min(...pinsOf[place]!.map((pins) => cheapest(n, costs, pins)));
    const regret = Math.max(0, accepted / free - 1);
    if (regret < 1e-9) right++;
    value += (regret < 1e-9 ? RIGHT : 0) - REGRET * regret;
  });
  knobs.forEach((v, k) => (value -= FAR * Math.log((v + 0.01) / (STARTS[k]! + 0.01)) ** 2));
  return { share: right / laidOut.length, value };
}

let knobs: readonly number[] = STARTS;
let now = score(knobs);
let best = now;
for (let round = 0; round < Number(rounds); round++) {
  const trial = [...knobs];
  for (let i = 0, many = 1 + Math.floor(random() * 3); i < many; i++) {
    const k = Math.floor(random() * KNOBS.length);
    const [least, most] = KNOBS[k]!.range;
    const moved = random() < 0.2 ? least + random() * (most - least) : trial[k]! * Math.exp((random() - 0.5) * 0.8);
    trial[k] = Math.min(most, Math.max(least, moved));
  }
  const then = score(trial);
  const warmth = 0.6 * (1 - round / Number(rounds)) ** 2;
  if (then.value > now.value + warmth * Math.log(1 - random())) [knobs, now] = [trial, then];
  if (now.value > best.value) {
    best = now;
    writeFileSync(out, JSON.stringify(withKnobs(knobs.map((v) => Number(v.toPrecision(3)))), null, 1));
  }
  if (round % 500 === 499)
    console.log(
      round + 1,
      (100 * now.share).toFixed(2),
      now.value.toFixed(3),
      "best",
      (100 * best.share).toFixed(2),
      best.value.toFixed(3),
    );
}
