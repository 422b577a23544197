import { SOURCE_WORDS, type Source } from "../../hand/touch";
import { at, type Sign } from "./sign";

/** Where the energy comes from, at each group in which that changes. */
export function touchSign(source: Source): Sign {
  return {
    id: `touch-${source}`,
    words: SOURCE_WORDS[source],
    find: ({ impulses, frames }) =>
      impulses.flatMap(({ from, touch }, i) =>
        touch.source === source && impulses[i - 1]?.touch.source !== source ? at(frames[from]!.notes[0]) : [],
      ),
  };
}
