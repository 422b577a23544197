import type { Merit } from "./merit";

/** mm that the middles of the hands are carried from position to position. */
export const carried: Merit = {
  id: "carried",
  label: "Hand carried",
  better: "less",
  find: ({ positions }) => ({ amount: positions.reduce((sum, p) => sum + (p.join?.mm ?? 0), 0), where: null }),
  say: (amount) => `${Math.round(amount)} mm`,
};
