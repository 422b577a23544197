import { NOT_TUNED_ON, qualityCases, TUNED_ON } from "./cases";
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
