import { writeFileSync } from "node:fs";
import { searching } from "@/core/fingering/search/search";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import type { Task } from "@/core/fingering/task";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { lineOf } from "@/core/passage/line";
import { passageOfKeys } from "@/core/passage/of-keys";
import { seeded } from "../tests/support/seeded";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO, qualityCases, TABLES, type QualityCase } from "./cases";

/**
 * A calibration aid, run by hand: seeded annealing over the weights on the standard fingerings.
 * It raises the agreement, and with equal agreement lowers the regret, the share by which the accepted
 * fingering costs more than the best one. Prints weights; a person decides which to adopt.
 * Usage: tsx quality/tune.ts SEED ROUNDS FILE, where FILE receives the best weights so far
 */
const [seed = "1", rounds = "200", out = "/tmp/weights.json"] = process.argv.slice(2);
const manner = { tempo: QUALITY_TEMPO, touch: "legato", pedal: false } as const;

interface Prepared {
  readonly given: QualityCase;
  readonly task: Task;
  readonly pins: readonly Int8Array[];
}

const prepared: readonly Prepared[] = TABLES.flatMap((table) => qualityCases(table)).map((given) => {
  const passage = passageOfKeys(given.keys, "1/4", given.side);
  const line = lineOf(passage, given.side, manner);
  const task: Task = { line, hand: handOfRulerSpan(given.side, QUALITY_RULER_SPAN), instrument: FULL_SIZE, manner, weights: WEIGHTS };
  const pins = given.accepted.map((digits) => Int8Array.from(digits, (d, i) => (given.graded.includes(i) ? d : 0)));
  return { given, task, pins };
});

function best(task: Task, pins: Int8Array): { total: number; digits: Int8Array } {
  const steps = searching(task, pins, 1);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value[0]!;
  }
}

function score(weights: Weights): { notes: number; value: number } {
  let [notes, value, graded] = [0, 0, 0];
  for (const { given, task, pins } of prepared) {
    const free = best({ ...task, weights }, new Int8Array(given.keys.length));
    let [most, regret] = [0, Infinity];
    for (const pin of pins) {
      most = Math.max(most, given.graded.filter((i) => pin[i] === free.digits[i]).length);
      regret = Math.min(regret, (best({ ...task, weights }, pin).total - free.total) / free.total);
    }
    notes += most;
    graded += given.graded.length;
    value += most / given.graded.length - regret;
  }
  return { notes: notes / graded, value };
}

const { next: random } = seeded(Number(seed));

/** The range in which each weight keeps its meaning; weights not named here are not calibrated on single lines. */
const RANGES: Partial<Record<keyof Weights, readonly [number, number]>> = {
  opening: [0.25, 1],
  openingBeyond: [0.5, 1.5],
  crowding: [0.1, 0.5],
  carry: [0.05, 0.5],
  shortfall: [0.1, 1],
  position: [2, 20],
  positionPerMm: [0.02, 0.5],
  thumbPass: [2, 20],
  thumbPassAgainst: [5, 25],
  thumbPassLevel: [0.5, 8],
  thumbPassPerMm: [0, 0.6],
  thumbPassFinger: [0, 25],
  thumbOnBlack: [3, 25],
  littleOnBlack: [3, 20],
  blackBesideWhite: [3, 25],
  weakRow: [1, 8],
  weakPair: [1, 8],
  fourthInside: [0, 5],
  inOut: [0.05, 0.5],
  rotation: [1, 6],
  sameFinger: [5, 30],
  sameFingerPerHz: [3, 12],
};
/** Only the fourth and fifth finger are weak. */
const WEAK_RANGE: readonly [number, number] = [1, 10];

type Path = readonly [keyof Weights, number | null];
const paths: readonly Path[] = [
  ...(Object.keys(RANGES) as (keyof Weights)[]).flatMap((name): Path[] =>
    Array.isArray(WEIGHTS[name]) ? (WEIGHTS[name] as number[]).map((_, i): Path => [name, i]) : [[name, null]],
  ),
  ["weakFinger", 3],
  ["weakFinger", 4],
];

function moved(weights: Weights, [name, index]: Path, factor: number, shift: number): Weights {
  const [least, most] = RANGES[name] ?? WEAK_RANGE;
  const change = (value: number): number => Math.round(Math.min(most, Math.max(least, value * factor + (shift * most) / 10)) * 1000) / 1000;
  const old = weights[name] as number | readonly number[];
  const next = typeof old === "number" ? change(old) : old.map((v, i) => (i === index ? change(v) : v));
  return { ...weights, [name]: next };
}

let current = WEIGHTS;
let now = score(current);
let highest = now.value;
for (let round = 0; round < Number(rounds); round++) {
  let trial = current;
  const many = 1 + Math.floor(random() * 3);
  for (let i = 0; i < many; i++) {
    const path = paths[Math.floor(random() * paths.length)]!;
    const big = random() < 0.3;
    trial = moved(trial, path, Math.exp((random() - 0.5) * (big ? 3 : 0.8)), random() < 0.15 ? (random() - 0.3) * 3 : 0);
  }
  const then = score(trial);
  const warmth = 0.8 * (1 - round / Number(rounds)) ** 2;
  if (then.value > now.value - warmth * -Math.log(1 - random())) [current, now] = [trial, then];
  if (now.value > highest) {
    highest = now.value;
    writeFileSync(out, JSON.stringify(current, null, 1));
  }
  if (round % 100 === 99) console.log(round + 1, (100 * now.notes).toFixed(2), now.value.toFixed(3), highest.toFixed(3));
}
