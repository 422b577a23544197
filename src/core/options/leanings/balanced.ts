import type { Leaning } from "./leaning";

export const balanced: Leaning = {
  id: "balanced",
  label: "balanced",
  what: "The least strain in all.",
  weigh: (plain) => plain,
};
