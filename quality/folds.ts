import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";

/** Kinds left out of a calibration, and the weights it came to. Written by quality/learn-folds. */
export interface Fold {
  readonly kinds: readonly string[];
  readonly weights: Partial<Weights>;
}

export const FOLDS_FILE = join(process.cwd(), "quality", "folds.json");

const folds: readonly Fold[] = existsSync(FOLDS_FILE) ? (JSON.parse(readFileSync(FOLDS_FILE, "utf8")) as Fold[]) : [];

/** Weights that never saw a kind; null where there are none. */
export function foldOf(kind: string): Weights | null {
  const fold = folds.find(({ kinds }) => kinds.includes(kind));
  return fold ? { ...WEIGHTS, ...fold.weights } : null;
}
