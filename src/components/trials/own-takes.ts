import type { TakeData } from "@/server/types";

/** Whether a take is the player's own, of the whole: what the simulated piano played and snips stand apart from those. */
export function isOwn({ source, snip }: Pick<TakeData, "source" | "snip">): boolean {
  return source !== "simulated piano" && snip === null;
}
