import type { Circle } from "../../path/height";
import type { Sign } from "./sign";

/** A circle of the wrist over a group. */
export function circleSign(id: string, way: Circle["way"]): Sign {
  return {
    id,
    words: `circle ${way}`,
    find: ({ circles, frames }) =>
      circles.flatMap(({ from, to, way: goes }) => {
        const [first, last] = [frames[from]!.notes[0], frames[to]!.notes[0]];
        return goes === way && first && last ? [{ note: first, to: last }] : [];
      }),
  };
}
