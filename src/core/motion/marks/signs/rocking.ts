import type { Sign } from "./sign";

/** The forearm to and fro, over the notes that it carries. */
export const rocking: Sign = {
  id: "rocking",
  words: "rock to and fro",
  find: ({ rockings }) => rockings.map(({ notes }) => ({ note: notes[0]!, to: notes.at(-1)! })),
};
