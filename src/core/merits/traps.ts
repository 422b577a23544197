import { trapsOf } from "../figures/traps";
import { counted } from "../counted";
import type { Merit } from "./merit";

/** Returns that differ from their figure by one finger: easily swapped on stage. */
export const traps: Merit = {
  id: "traps",
  label: "Memory traps",
  better: "less",
  find({ figures, judged }) {
    const found = trapsOf(figures, judged.fingering);
    return { amount: found.length, where: found[0]?.other ?? null };
  },
  say: (amount) => counted(amount, "trap", "traps"),
};
