import { NOT_TUNED_ON, qualityCases, TUNED_ON } from "./cases";
import { drain } from "@/core/drain";
import { sweeping } from "@/core/fingering/explain/sweep";
import { TEMPO_FLIPS } from "./flips";
import { HAND_SIZES, SPANS } from "./hand-sizes";
import { bySize, slowAndFast } from "./solve";
import { agreements, byPublishedModel, summary, type Agreement } from "./measure";

/** `npm run quality`: prints the agreement with the standard fingerings, ours and the published model's, and each case of ours that differs. */
const share = (part: number, of: number): string => `${((100 * part) / of).toFixed(1)} of 100`;

function line(who: string, all: readonly Agreement[]): string {
  const { notes, graded, whole, cases } = summary(all);
  return `  ${who.padEnd(16)} ${notes} of ${graded} graded notes (${share(notes, graded)}), ${whole} of ${cases} cases wholly right (${share(whole, cases)})`;
}

for (const table of [...TUNED_ON, NOT_TUNED_ON] as const) {
  const cases = qualityCases(table);
  const ours = agreements(cases);
  console.log(table);
  console.log(line("ours", ours));
  console.log(line("published model", cases.map(byPublishedModel)));
  for (const a of ours) {
    if (a.agreed < a.graded)
      console.log(`    ${a.name.padEnd(34)} ours ${a.ours}  accepted ${a.nearest}  ${a.agreed}/${a.graded}`);
  }
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
for (const given of HAND_SIZES) {
  console.log(`  ${given.name.padEnd(46)} ${bySize(given).join(" ")}`);
}
