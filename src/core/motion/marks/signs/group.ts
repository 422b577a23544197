import type { Sign } from "./sign";

/** Notes that one impulse carries. */
export const group: Sign = {
  id: "group",
  words: "one impulse",
  find: ({ impulses, frames }) =>
    impulses.flatMap(({ from, to }) => {
      const [first, last] = [frames[from]!.notes[0], frames[to]!.notes[0]];
      return from < to && first && last ? [{ note: first, to: last }] : [];
    }),
};
