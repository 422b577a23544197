import { writeFileSync } from "node:fs";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import { seeded } from "../tests/support/seeded";
import { qualityCases, TUNED_ON } from "./cases";
import { GAUGES, geared } from "./gauges";
import { casesOf, type KindCase } from "./kind";
import { missOf } from "./margin";
import { afresh } from "./ranges";
import { tableCase } from "./table-case";

/**
 * A calibration aid, run by hand: learns weights by margins. For each case the fingering that misses its margin most is found,
 * and the weights are moved down the difference of what both cost by each weight (structured hinge loss; Tsochantaridis et
 * al., J. Machine Learning Research 6, 2005), in logarithms, drawn back a little towards where they began. Every second
 * round the standard fingerings are asked of another hand at another tempo: they are taught to all. A person decides which
 * weights to adopt. What is held back is never asked.
 * Usage: tsx quality/learn.ts FILE ROUNDS [KIND,KIND... [afresh]], where FILE receives the weights that missed least and the
 * kinds are left out; "afresh" begins in the middle of every weight's range
 */
const [out = "/tmp/weights.json", rounds = "40", leftOut = "", begin = ""] = process.argv.slice(2);
/** Strain by which each digit that differs should cost more. */
const MARGIN = 2;
/** Strain beyond which a case that misses its margin counts no more: some teaching is not of the hand. */
const MOST = 16;
/** Step of the logarithms at first, and the share by which they are drawn back. */
const STEP = begin === "afresh" ? 0.08 : 0.04;
const BACK = 0.002;
/** The standard fingerings count as so many kinds. */
const STANDARD = 8;
const SPANS = [178, 187, 200, 215] as const;
const TEMPI = [72, 96, 120] as const;

const without = new Set(leftOut.split(","));
const standard = TUNED_ON.flatMap((table) => qualityCases(table)).map(tableCase);
const kinds = casesOf("kinds").filter(({ kind, accepted }) => !without.has(kind) && typeof accepted !== "function");
const counts = new Map<string, number>();
for (const { kind } of kinds) counts.set(kind, (counts.get(kind) ?? 0) + 1);
// What is remembered is not asked here.
const gauges = GAUGES.filter(({ name }) => name !== "memory");
const random = seeded(3);

interface Asked {
  readonly given: KindCase;
  readonly worth: number;
}

function askedIn(round: number): readonly Asked[] {
  const own = kinds.map((given) => ({ given, worth: 1 / counts.get(given.kind)! }));
  const [span, tempo] = [random.pick(SPANS), random.pick(TEMPI)];
  const taught = standard.map((given) => ({
    given: round % 2 === 0 ? given : { ...given, span, manner: { ...given.manner, tempo } },
    worth: STANDARD / standard.length,
  }));
  return [...taught, ...own];
}

const from = begin === "afresh" ? afresh(WEIGHTS) : WEIGHTS;
const begins = gauges.map((gauge) => Math.log(gauge.of(from)));
const at = [...begins];
const squares = gauges.map(() => 1e-8);
let weights: Weights = from;
let leastMissed = Infinity;
for (let round = 0; round < Number(rounds); round++) {
  const slope = new Float64Array(gauges.length);
  let missed = 0;
  for (const { given, worth } of askedIn(round)) {
    const miss = missOf(given, weights, gauges, MARGIN);
    missed += worth * Math.min(MOST, miss.loss);
    if (miss.loss < 2 * MOST) miss.slope?.forEach((by, i) => (slope[i]! += worth * by));
  }
  if (round % 2 === 0) {
    console.log(`round ${round}: ${missed.toFixed(2)}`);
    if (missed < leastMissed) {
      leastMissed = missed;
      writeFileSync(out, JSON.stringify(weights, null, 2));
    }
  }
  gauges.forEach((gauge, i) => {
    squares[i] = 0.9 * squares[i]! + 0.1 * slope[i]! ** 2;
    const step = (STEP * slope[i]!) / Math.sqrt(squares[i]!) / (1 + round / 30);
    const next = at[i]! - step - BACK * (at[i]! - begins[i]!);
    at[i] = Math.min(Math.log(gauge.most), Math.max(Math.log(gauge.least), next));
    weights = geared(weights, gauge, Math.exp(at[i]!) / gauge.of(weights));
  });
}
