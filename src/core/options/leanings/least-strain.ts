import type { Leaning } from "./leaning";

export const leastStrain: Leaning = {
  id: "least-strain",
  label: "strain alone",
  what: "Strain alone counts: what returns may take other fingers.",
  weigh: (plain) => plain,
  tying: "none",
};
