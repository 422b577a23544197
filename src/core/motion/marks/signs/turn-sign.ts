import type { Turn } from "../../hand/turns";
import { at, type Sign } from "./sign";

/** A turn of the forearm to one side, where it begins. */
export function turnSign(id: string, towards: Turn["towards"]): Sign {
  return {
    id,
    words: `turn towards the ${towards}`,
    find: ({ turns }) =>
      turns.filter((t) => t.kind === "single" && t.towards === towards).flatMap((t) => at(t.notes[0])),
  };
}
