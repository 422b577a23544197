import { OFFER } from "../../physics";
import { often } from "../../counted";
import { notesWith, type Idea } from "./idea";

/** How often the line is broken and the arm sets the hand down anew. */
export const breaks: Idea = {
  id: "breaks",
  amount: (reading) => notesWith(reading, "line-broken").length + notesWith(reading, "same-finger").length,
  least: OFFER.ideaLeast.breaks,
  say: (count) => (count === 0 ? "bound throughout" : `lets go ${often(count)}`),
};
