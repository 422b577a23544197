import { drain } from "@/core/drain";
import { sweeping } from "@/core/fingering/explain/sweep";
import { judge } from "@/core/fingering/study/study";
import { qualityCases, NOT_TUNED_ON, TUNED_ON } from "./cases";
import { inEveryKey } from "./every-key";
import { TEMPO_FLIPS } from "./flips";
import { foldOf } from "./folds";
import { answered, bestOf, gradedBy, studyOfCase, type Graded } from "./grade";
import { HAND_SIZES, SPANS } from "./hand-sizes";
import { casesOf, type KindCase } from "./kind";
import { LADDER } from "./ladder";
import { agreements, byPublishedModel } from "./measure";
import { sensitivity } from "./sensitivity";
import { bySize, slowAndFast } from "./solve";
import { tableCase } from "./table-case";
import { stepsOfWalks } from "./walks";

/**
 * `npm run quality`: how the engine agrees with standard fingerings and with invented cases, beside the published model.
 * `npm run quality -- --sensitivity` tries every weight halved and doubled as well, which takes minutes; `-- --others` prints the
 * passages in every key that are not as asked.
 */

/** The share of right ones with the interval that holds the true share 95 times of 100 (Wilson). */
function share(right: number, of: number): string {
  const p = right / Math.max(1, of);
  const z = 1.96;
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half = (z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of);
  const bound = (value: number): string => (100 * Math.min(1, Math.max(0, value))).toFixed(0);
  return (
    `${right} of ${of}`.padStart(12) +
    ` ${(100 * p).toFixed(1).padStart(6)}  (${bound(middle - half)} to ${bound(middle + half)})`
  );
}

function row(name: string, all: readonly Pick<Graded, "agreed" | "graded">[]): void {
  const notes = all.reduce((sum, a) => sum + a.agreed, 0);
  const graded = all.reduce((sum, a) => sum + a.graded, 0);
  const whole = all.filter((a) => a.agreed === a.graded).length;
  console.log(`  ${name.padEnd(34)} notes ${share(notes, graded)}   whole ${share(whole, all.length)}`);
}

/** Share of whole cases under which a kind is told of by itself. */
const WORTH_TELLING = 0.85;

function wholeShare(all: readonly Graded[]): number {
  return all.filter((a) => a.agreed === a.graded).length / all.length;
}

function told(all: readonly Graded[]): void {
  for (const a of all) if (a.agreed < a.graded) console.log(`      ${a.name}: ${a.ours}  accepted ${a.nearest}`);
}

for (const table of [...TUNED_ON, NOT_TUNED_ON] as const) {
  const cases = qualityCases(table);
  console.log(`standard fingerings: ${table}`);
  const tied = cases.map(tableCase).map((given) => gradedBy(given, answered(given, true)));
  row("ours, by the command line", agreements(cases));
  row("ours, figures remembered", tied);
  row(
    "ours, nothing tied",
    cases.map(tableCase).map((given) => gradedBy(given, answered(given, false))),
  );
  row(
    "published model",
    cases.map((given) => byPublishedModel(given)),
  );
  row(
    "published model, calibrated as ours",
    cases.map((given) => byPublishedModel(given, true)),
  );
  told(tied);
}

function byKind(cases: readonly KindCase[]): ReadonlyMap<string, readonly KindCase[]> {
  const kinds = new Map<string, KindCase[]>();
  for (const given of cases) kinds.set(given.kind, [...(kinds.get(given.kind) ?? []), given]);
  return kinds;
}

for (const folder of ["kinds", "held-back"] as const) {
  console.log(folder === "kinds" ? "invented cases, looked at while weights were sought" : "invented cases held back");
  const all: Graded[] = [];
  const apart = new Map<string, readonly Graded[]>();
  for (const [kind, cases] of byKind(casesOf(folder))) {
    const graded = cases.map((given) => gradedBy(given, answered(given, true)));
    all.push(...graded);
    row(kind, graded);
    if (folder === "kinds") told(graded);
    const fold = foldOf(kind);
    if (fold)
      apart.set(
        kind,
        cases.map((given) => gradedBy(given, answered(given, true, fold))),
      );
  }
  row("all", all);
  if (apart.size > 0) row("by weights that never saw the kind", [...apart.values()].flat());
  if (folder === "kinds")
    for (const [kind, graded] of apart) if (wholeShare(graded) < WORTH_TELLING) row(`  of these, ${kind}`, graded);
}

console.log("in every key and both hands: passages that are as any teacher would ask");
for (const { name, good, all, others } of inEveryKey()) {
  console.log(`  ${name.padEnd(40)} ${share(good, all)}`);
  if (process.argv.includes("--others")) for (const other of others) console.log(`      ${other}`);
}

console.log("in wandering lines, for each 1,000 steps of a line");
for (const side of ["right", "left"] as const) {
  const { steps, skipped, thumbToLittle, hops } = stepsOfWalks(side);
  const rate = (count: number): string => ((1000 * count) / steps).toFixed(1);
  console.log(
    `  ${side.padEnd(6)} a finger skipped ${rate(skipped)}, thumb to little finger ${rate(thumbToLittle)}, one finger on two keys ${rate(hops)}`,
  );
}

console.log("the ladder: mean strain, easiest first");
for (const { rung, passage } of LADDER) {
  const study = studyOfCase(passage);
  const strain = judge(study, bestOf(study)).strain;
  console.log(`  ${rung.padEnd(9)} ${strain.toFixed(1).padStart(6)}  ${passage.name}`);
}

console.log("best at quarter = 50 and at 160");
for (const flip of TEMPO_FLIPS) {
  const { study, fingerings, slow, fast } = slowAndFast(flip);
  const { flips } = drain(sweeping(study, fingerings, 50, 160));
  console.log(
    `  ${flip.name.padEnd(46)} ${slow.padEnd(14)} ${fast.padEnd(14)} from ${flips.map((f) => f.tempo).join()}`,
  );
}
console.log(`best for spans of ${SPANS.join(", ")} mm`);
for (const given of HAND_SIZES) console.log(`  ${given.name.padEnd(46)} ${bySize(given).join(" ")}`);

if (process.argv.includes("--sensitivity")) {
  console.log("what changes when a weight is halved and doubled: digits of 100, whole cases right");
  for (const { name, halved, doubled } of sensitivity()) {
    const said = ({ changed, whole }: typeof halved): string =>
      `${changed.toFixed(1).padStart(5)} ${String(whole).padStart(4)}`;
    console.log(`  ${name.padEnd(18)} ${said(halved)}   ${said(doubled)}`);
  }
}
