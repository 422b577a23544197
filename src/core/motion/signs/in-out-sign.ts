import { at, type Sign } from "./sign";

/** mm from one onset to the next that are worth a sign. A choice. */
const WORTH = 25;

/** The hand on its way towards the fallboard or back. */
export function inOutSign(id: string, words: string, way: 1 | -1): Sign {
  return {
    id,
    words,
    find: ({ inOuts }) => inOuts.flatMap(({ mm, note }) => (way * mm >= WORTH ? at(note) : [])),
  };
}
