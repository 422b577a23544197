import { qualityCases, NOT_TUNED_ON, TUNED_ON } from "./cases";
import { agreements, summary } from "./measure";

/** `npm run quality`: prints the agreement with the standard fingerings, and each case that differs. */
const share = (part: number, of: number): string => `${((100 * part) / of).toFixed(1)} of 100`;
for (const table of [...TUNED_ON, NOT_TUNED_ON] as const) {
  const all = agreements(qualityCases(table));
  for (const a of all) {
    if (a.agreed < a.graded)
      console.log(`${a.name.padEnd(34)} ours ${a.ours}  accepted ${a.nearest}  ${a.agreed}/${a.graded}`);
  }
  const { notes, graded, whole, cases } = summary(all);
  console.log(
    `${table}: ${notes} of ${graded} graded notes (${share(notes, graded)}), ${whole} of ${cases} cases wholly right (${share(whole, cases)})\n`,
  );
}
