import type { Leaning } from "./leaning";

export const balanced: Leaning = {
  id: "balanced",
  label: "balanced",
  what: "All strains together, and what returns keeps its fingers.",
  weigh: (plain) => plain,
};
