import type { Merit } from "./merit";

/** mm that the wrists travel along the keys. */
export const travel: Merit = {
  id: "travel",
  label: "Wrist along the keys",
  better: "less",
  find: (fingered) => ({ amount: fingered.plan().hands.reduce((sum, h) => sum + h.body.travel, 0), where: null }),
  say: (amount) => `${Math.round(amount)} mm`,
};
