import type { Weights } from "@/core/fingering/cost/weights";
import { qualityCases, TUNED_ON } from "./cases";
import { answered, gradedBy } from "./grade";
import { casesOf, type KindCase } from "./kind";
import { tableCase } from "./table-case";

/** Asked by quality/tune, in a process of its own: how well some weights agree, 0 to 1 and a little for single notes. */
const leftOut = new Set((process.argv[2] ?? "").split(","));

const standard = TUNED_ON.flatMap((table) => qualityCases(table)).map(tableCase);
const kinds = new Map<string, KindCase[]>();
for (const given of casesOf("kinds").filter(({ kind }) => !leftOut.has(kind)))
  kinds.set(given.kind, [...(kinds.get(given.kind) ?? []), given]);

/** Parts of a case's worth: that all of it is right, and each of its notes. */
const WHOLE = 0.7;

function worthOf(given: KindCase, tied: boolean, weights: Weights): number {
  const { agreed, graded } = gradedBy(given, answered(given, tied, weights));
  return (agreed === graded ? WHOLE : 0) + ((1 - WHOLE) * agreed) / Math.max(1, graded);
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);

/** Every kind counts alike; the standard fingerings, tied and free, as much as all of them. */
process.on("message", (weights: Weights) => {
  const byKind = [...kinds.values()].map((cases) => mean(cases.map((given) => worthOf(given, true, weights))));
  const tables = mean(standard.flatMap((given) => [worthOf(given, true, weights), worthOf(given, false, weights)]));
  process.send!((mean(byKind) + tables) / 2);
});
