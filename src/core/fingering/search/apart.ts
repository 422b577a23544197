import type { Digits } from "../study/fingering";
import type { Found } from "./bonded";
import type { Lattice } from "./lattice";
import { mergeBest, type Costed } from "./merge";
import { searching, type Progress } from "./search";
import type { Terms } from "./terms";

/** The k best of both hands with nothing tied between them: each is searched by itself, and they are put together exactly. */
export function* searchingApart(
  lattices: readonly Lattice[],
  terms: readonly Terms[],
  k: number,
): Generator<Progress, Found> {
  const of = lattices.reduce((sum, { task }) => sum + task.line.onsets.length, 0);
  let done = 0;
  const lists: Costed<Digits>[][] = [];
  for (const [i, lattice] of lattices.entries()) {
    const steps = searching(lattice, terms[i]!, k);
    let step = steps.next();
    for (; !step.done; step = steps.next()) yield { done: ++done, of };
    lists.push(step.value.map(({ total, digits }) => ({ total, item: digits })));
  }
  return { found: mergeBest(lists, k), exact: true };
}
