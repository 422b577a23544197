import type { Merit } from "./merit";

/** The strain of the most strained note. */
export const peak: Merit = {
  id: "peak",
  label: "Peak strain, at one note",
  better: "less",
  find: ({ judged: { peak: most } }) => ({ amount: most?.strain ?? 0, where: most?.note ?? null }),
  say: (amount) => amount.toFixed(1),
};
