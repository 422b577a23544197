import { fork, type ChildProcess } from "node:child_process";
import { writeFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { fileURLToPath } from "node:url";
import { seeded } from "../tests/support/seeded";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import { afresh, scaled, TUNED } from "./ranges";

/**
 * A calibration aid, run by hand: weights are moved one after another, up and down, by steps that shrink, and kept where
 * the standard fingerings and the invented cases agree better. A person decides which weights to adopt. What is held back
 * is never asked.
 * Then some are moved together at random, by a seed, for as many rounds.
 * Usage: tsx quality/tune.ts FILE PASSES ROUNDS [KIND,KIND... [afresh]], where FILE receives the best weights so far and
 * the kinds are left out: folds are made so, each judged by weights that never saw it; "afresh" begins in the middle of
 * every weight's range
 */
const [out = "/tmp/weights.json", passes = "3", rounds = "0", leftOut = "", begin = ""] = process.argv.slice(2);

class Judges {
  private readonly idle: ChildProcess[];
  private readonly waiting: ((judge: ChildProcess) => void)[] = [];

  constructor(count: number) {
    const file = fileURLToPath(new URL("tune-judge.ts", import.meta.url));
    this.idle = Array.from({ length: count }, () => fork(file, [leftOut], { execArgv: ["--import", "tsx"] }));
  }

  async score(weights: Weights): Promise<number> {
    const judge = this.idle.pop() ?? (await new Promise<ChildProcess>((resolve) => this.waiting.push(resolve)));
    const score = await new Promise<number>((resolve) => {
      judge.once("message", (value) => resolve(value as number));
      judge.send(weights);
    });
    const next = this.waiting.shift();
    if (next) next(judge);
    else this.idle.push(judge);
    return score;
  }

  close(): void {
    for (const judge of this.idle) judge.kill();
  }
}

const judges = new Judges(availableParallelism());
let best = begin === "afresh" ? afresh(WEIGHTS) : WEIGHTS;
let score = await judges.score(best);
let step = 1.6;
console.log(`begins at ${score.toFixed(4)}`);
for (let pass = 0; pass < Number(passes); pass++, step = Math.sqrt(step)) {
  for (const name of TUNED) {
    const tried = await Promise.all(
      [step, 1 / step].map(async (factor) => {
        const weights = scaled(best, name, factor);
        return { weights, score: await judges.score(weights) };
      }),
    );
    for (const one of tried) if (one.score > score + 1e-9) [best, score] = [one.weights, one.score];
  }
  console.log(`pass ${pass + 1}: ${score.toFixed(4)}`);
  writeFileSync(out, JSON.stringify(best, null, 2));
}
const { next: random } = seeded(1);

/** Some weights, each by a factor about one. */
function shaken(weights: Weights): Weights {
  const count = 1 + Math.floor(random() * 4);
  let shaken = weights;
  for (let i = 0; i < count; i++) {
    const name = TUNED[Math.floor(random() * TUNED.length)]!;
    shaken = scaled(shaken, name, Math.exp((random() - 0.5) * 1.2));
  }
  return shaken;
}

let round = 0;
async function shaking(): Promise<void> {
  while (round++ < Number(rounds)) {
    const weights = shaken(best);
    const found = await judges.score(weights);
    if (found <= score + 1e-9) continue;
    [best, score] = [weights, found];
    writeFileSync(out, JSON.stringify(best, null, 2));
    console.log(`round ${round}: ${score.toFixed(4)}`);
  }
}
await Promise.all(Array.from({ length: availableParallelism() }, shaking));
judges.close();
