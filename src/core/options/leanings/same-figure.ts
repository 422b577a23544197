import type { Leaning } from "./leaning";

export const sameFigure: Leaning = {
  id: "same-figure",
  label: "same figure, same fingers",
  what: "Every figure that returns keeps its fingers, in other keys too.",
  weigh: (plain) => plain,
  tying: "all",
};
