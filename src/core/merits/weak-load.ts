import { byCause } from "../fingering/explain/compare";
import type { Merit } from "./merit";

/** What weak fingers at work add to the mean strain. */
export const weakLoad: Merit = {
  id: "weak-load",
  label: "Weak fingers at work",
  better: "less",
  find: ({ judged }) => ({ amount: byCause(judged).get("weak-finger") ?? 0, where: null }),
  say: (amount) => amount.toFixed(1),
};
