import { SOURCE_WORDS, type Source } from "../../hand/touch";
import { at, type Sign } from "./sign";

/** Where the energy comes from, at each group from which on that has changed for good: for more than that one. */
export function touchSign(source: Source): Sign {
  return {
    id: `touch-${source}`,
    words: SOURCE_WORDS[source],
    find: ({ impulses, frames }) =>
      changes(impulses.map(({ touch }) => touch.source)).flatMap((i) =>
        impulses[i]!.touch.source === source ? at(frames[impulses[i]!.from]!.notes[0]) : [],
      ),
  };
}

/** Places at which a source begins that the group after has too, or with which all ends, other than the one told before. */
function changes(sources: readonly Source[]): readonly number[] {
  const found: number[] = [];
  sources.forEach((source, i) => {
    const lasts = i + 1 === sources.length || sources[i + 1] === source;
    if (lasts && (found.length === 0 || sources[found.at(-1)!] !== source)) found.push(i);
  });
  return found;
}
