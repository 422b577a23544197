import { z } from "zod";
import type { Db } from "@/db/client";
import { fingeringById, fingeringsOf, walk } from "@/db/queries/fingerings";
import { changeToWalk, walkChange, type LoggedChange } from "@/db/queries/passage-changes";
import { GONE } from "./gone";
import { answered } from "./options";
import type { Answer, Walked } from "./types";
import { followTaken, followWishes } from "./wishes";

export const WalkAsked = z.object({
  fingeringId: z.uuid(),
  onVersion: z.number().int().min(1),
  way: z.enum(["undo", "redo"]),
});

/** Undo or redo: takes back what was done last, to this option or to the whole passage, or does it again. */
export async function walkBack(
  db: Db,
  { fingeringId, onVersion, way }: z.infer<typeof WalkAsked>,
): Promise<Answer<Walked>> {
  const change = await changeToWalk(db, fingeringId, way);
  if (!change) {
    const kept = answered(await walk(db, fingeringId, onVersion, way));
    return kept.ok ? { ok: true, value: { ...kept.value, options: null } } : kept;
  }
  if (!(await walkWhole(db, change, way))) return GONE;
  const now = await fingeringById(db, fingeringId);
  const options = await fingeringsOf(db, change.passageId);
  return now ? { ok: true, value: { outcome: "kept", now, options } } : GONE;
}

/** Walks along a change of the whole passage, options following. Returns whether it was there. */
async function walkWhole(db: Db, change: LoggedChange, way: "undo" | "redo"): Promise<boolean> {
  const { passageId, what } = change;
  switch (what) {
    case "wishes": {
      const changed = await walkChange(db, { ...change, what }, way);
      if (changed) await followWishes(db, passageId, changed);
      return changed !== null;
    }
    case "taken": {
      const changed = await walkChange(db, { ...change, what }, way);
      if (changed) await followTaken(db, passageId, changed);
      return changed !== null;
    }
    case "planMarks":
      return (await walkChange(db, { ...change, what }, way)) !== null;
  }
}
