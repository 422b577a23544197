import type { NoteId } from "../../passage/note";
import type { NoteRemedy } from "../../passage/remedied";
import type { Allowed } from "../../placement/placement";
import { holdKeysIf } from "../../placement/hold";
import type { Predicament } from "../predicament";
import type { Proposal } from "../remedy";

/** How a hand holds keys when it does nothing special: fingers natural or curled, upright, white keys met on their heads, all near their middles. */
export const USUAL: Allowed = { shapes: ["natural", "curled"], tilts: ["upright"], parts: ["head"], aim: "middles" };

/** The proposal to place the hand so, where the keys are held by it and not without it. */
export function placed(
  { down, task }: Predicament,
  kind: "edges" | "flat" | "lean",
  before: Allowed,
  now: Allowed,
  loss: number,
  words: string,
): readonly Proposal[] {
  const keys = down.map((d) => d.key);
  if (keys.length < 2 || holdKeysIf(keys, task.placements, before).kind === "held") return [];
  if (holdKeysIf(keys, task.placements, now).kind !== "held") return [];
  const notes: Record<NoteId, NoteRemedy> = {};
  for (const d of down) if (d.struck) notes[d.note.id] = { kind };
  return [{ kind, notes, loss, words }];
}
