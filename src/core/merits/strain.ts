import type { Merit } from "./merit";

/** The mean strain of the notes. */
export const strain: Merit = {
  id: "strain",
  label: "Strain, an onset on average",
  better: "less",
  find: ({ judged }) => ({ amount: judged.strain, where: null }),
  say: (amount) => amount.toFixed(1),
};
