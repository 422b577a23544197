import type { Merit } from "./merit";

/** mm that the hands travel in and out, all told; the farthest single way is named. */
export const inOutTravel: Merit = {
  id: "in-out-travel",
  label: "In and out",
  better: "less",
  find(fingered) {
    const all = fingered.plan().hands.flatMap((h) => h.inOuts);
    const far = all.reduce<(typeof all)[number] | null>(
      (a, b) => (a && Math.abs(a.mm) >= Math.abs(b.mm) ? a : b),
      null,
    );
    return {
      amount: all.reduce((sum, { mm }) => sum + Math.abs(mm), 0),
      where: far?.note ?? null,
      more: far ? `${Math.round(Math.abs(far.mm))} mm ${far.mm > 0 ? "in" : "out"}` : "",
    };
  },
  say: (amount) => `${Math.round(amount)} mm`,
};
