import { writeFileSync } from "node:fs";
import { candidatesFor } from "@/core/fingering/candidates";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import { frameAfter, type Frame } from "@/core/fingering/frame";
import { costsOf } from "@/core/fingering/search/costs";
import type { Task } from "@/core/fingering/task";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { lineOf } from "@/core/passage/line";
import { placementsOf } from "@/core/placement/placements";
import { passageOfKeys } from "@/core/passage/of-keys";
import { seeded } from "../tests/support/seeded";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO, qualityCases, TABLES, type QualityCase } from "./cases";

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
  opening: [0.02, 0.6],
  openingBeyond: [0.3, 1.5],
  crowding: [0.05, 0.5],
  carry: [0.02, 0.5],
  shortfall: [0.05, 1],
  position: [1, 20],
  positionPerMm: [0.02, 0.5],
  thumbPass: [2, 20],
  thumbPassAgainst: [5, 25],
  thumbPassLevel: [0.5, 12],
  thumbPassPerMm: [0.02, 0.8],
  thumbPassFinger: [0, 25],
  thumbOnBlack: [3, 25],
  littleOnBlack: [3, 20],
  blackBesideWhite: [2, 25],
  weakFinger: [0, 10],
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

/** The cheapest fingers, with some fixed (0 where free), by the same recurrence as the search. */
function cheapest(
  { given, pairs, triples }: LaidOut,
  values: Float64Array,
  pins: readonly number[],
): { total: number; digits: number[] } {
  const n = given.keys.length;
  const fits = (t: number, f: number): boolean => !pins[t] || pins[t] === f + 1;
  const total = new Float64Array(n * 25).fill(Infinity);
  const back = new Int8Array(n * 25).fill(-1);
  for (let t = 0; t < n; t++) {
    for (let j = 0; j < FINGERS; j++) {
      if (!fits(t, j)) continue;
      for (let i = 0; i < (t === 0 ? 1 : FINGERS); i++) {
        if (t > 0 && !fits(t - 1, i)) continue;
        const here = t * 25 + i * 5 + j;
        const pair = dot(pairs[(t * FINGERS + i) * FINGERS + j]!, values);
        if (t === 0) total[here] = pair;
        for (let h = 0; t > 0 && h < (t === 1 ? 1 : FINGERS); h++) {
          const sum =
            total[(t - 1) * 25 + h * 5 + i]! +
            pair +
            dot(triples[((t * FINGERS + h) * FINGERS + i) * FINGERS + j]!, values);
          if (sum < total[here]!) [total[here], back[here]] = [sum, h];
        }
      }
    }
  }
  return backFrom(total, back, n);
}

function backFrom(total: Float64Array, back: Int8Array, n: number): { total: number; digits: number[] } {
  let at = (n - 1) * 25;
  for (let s = at; s < n * 25; s++) if (total[s]! < total[at]!) at = s;
  const digits: number[] = [];
  const best = total[at]!;
  for (let t = n - 1; t >= 0; t--) {
    const [i, j] = [Math.floor((at % 25) / 5), at % 5];
    digits[t] = j + 1;
    at = (t - 1) * 25 + back[at]! * 5 + i;
  }
  return { total: best, digits };
}

const laidOut = TABLES.flatMap((table) => qualityCases(table)).map(layOut);
const pinsOf = laidOut.map(({ given }) =>
  given.accepted.map((digits) => digits.map((d, i) => (given.graded.includes(i) ? d : 0))),
);

function score(knobs: readonly number[]): { share: number; value: number } {
  const values = Float64Array.from([...knobs, 1]);
  let [notes, graded, value] = [0, 0, 0];
  laidOut.forEach((laid, place) => {
    const free = cheapest(laid, values, []);
    let [most, regret] = [0, Infinity];
    for (const pins of pinsOf[place]!) {
      most = Math.max(most, laid.given.graded.filter((i) => pins[i] === free.digits[i]).length);
      regret = Math.min(regret, (cheapest(laid, values, pins).total - free.total) / free.total);
    }
    notes += most;
    graded += laid.given.graded.length;
    value += most / laid.given.graded.length + (most === laid.given.graded.length ? 0.3 : 0) - 2 * regret;
  });
  return { share: notes / graded, value };
}

let knobs = KNOBS.map(({ name, index, range: [least, most] }) => {
  const start = index === null ? (WEIGHTS[name] as number) : (WEIGHTS[name] as readonly number[])[index]!;
  return Math.min(most, Math.max(least, start));
});
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
