import { counted } from "../counted";
import type { Merit } from "./merit";

/** Places that the plan warns of; the dearest is named. */
export const warned: Merit = {
  id: "warned",
  label: "Places the plan warns of",
  better: "less",
  find(fingered) {
    const { warnings } = fingered.plan();
    return { amount: warnings.length, where: warnings[0]?.note ?? null, more: warnings[0]?.words ?? "" };
  },
  say: (amount) => counted(amount, "place", "places"),
};
