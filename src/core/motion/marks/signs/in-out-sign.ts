import { PLAN } from "../../../physics";
import { at, type Sign } from "./sign";

/** The hand on its way towards the fallboard or back. */
export function inOutSign(id: string, words: string, way: 1 | -1): Sign {
  return {
    id,
    words,
    find: ({ inOuts }) => inOuts.flatMap(({ mm, note }) => (way * mm >= PLAN.inOutWorthSign ? at(note) : [])),
  };
}
