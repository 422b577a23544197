import { OFFER } from "../../physics";
import { inWords, type Idea } from "./idea";

/** How often the thumb goes under, or a finger over it. */
export const passes: Idea = {
  id: "passes",
  amount: ({ positions }) => positions.filter(({ join }) => join?.kind === "thumb pass").length,
  least: OFFER.ideaLeast.passes,
  say: (count) => inWords(count, "thumb pass", "thumb passes"),
};
