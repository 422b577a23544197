import { execFileSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Weights } from "@/core/fingering/cost/weights";
import { FOLDS_FILE, type Fold } from "./folds";
import { casesOf } from "./kind";
import { TUNED } from "./ranges";

/**
 * Calibrates once for each fifth of the kinds with that fifth left out, from weights that are all moved towards the middle
 * of their ranges first, so that nothing of what was learnt from it is left. Takes many minutes.
 * Usage: tsx quality/learn-folds.ts ROUNDS; writes quality/folds.json
 */
const [rounds = "16"] = process.argv.slice(2);
const FOLDS = 5;

const kinds = [...new Set(casesOf("kinds").map(({ kind }) => kind))];
const folds: Fold[] = [];
for (let fold = 0; fold < FOLDS; fold++) {
  const left = kinds.filter((_, i) => i % FOLDS === fold);
  const out = join(tmpdir(), `fold-${fold}.json`);
  execFileSync("npx", ["tsx", "quality/learn.ts", out, rounds, left.join(","), "afresh"], { stdio: "inherit" });
  if (!existsSync(out)) throw new Error(`The fold without ${left.join(", ")} found nothing.`);
  const weights = JSON.parse(readFileSync(out, "utf8")) as Weights;
  folds.push({ kinds: left, weights: Object.fromEntries(TUNED.map((name) => [name, weights[name]])) });
  writeFileSync(FOLDS_FILE, `${JSON.stringify(folds, null, 2)}\n`);
}
