import { PLAN } from "../../../physics";
import { at, type Sign } from "./sign";

/** The wrist on its way up or down, at the onset that it has got to. */
export function heightSign(id: string, words: string, way: 1 | -1): Sign {
  return {
    id,
    words,
    find: ({ frames }) =>
      frames
        .slice(1)
        .flatMap((now, i) => (way * (now.height - frames[i]!.height) >= PLAN.heightWorthSign ? at(now.notes[0]) : [])),
  };
}
