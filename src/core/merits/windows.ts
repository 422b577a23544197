import { MOTION } from "../physics";
import type { Merit } from "./merit";

/** Share of the onsets, in hundredths, after which there is time for the hand to close. */
export const windows: Merit = {
  id: "windows",
  label: "Joins with time to close",
  better: "more",
  find(fingered) {
    const all = fingered.plan().hands.flatMap((h) => h.releases);
    const least = all.reduce<(typeof all)[number] | null>(
      (a, b) => (a && a.window - a.short <= b.window - b.short ? a : b),
      null,
    );
    const open = all.filter((r) => r.window >= MOTION.closeMs).length;
    return {
      amount: all.length === 0 ? 100 : (100 * open) / all.length,
      where: least?.from[0] ?? null,
      more: least
        ? least.short > 0
          ? `${Math.round(least.short)} ms too little`
          : `least ${Math.round(least.window)} ms`
        : "",
    };
  },
  say: (amount) => `${Math.round(amount)} %`,
};
