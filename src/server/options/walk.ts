import { z } from "zod";
import type { Db } from "@/db/client";
import { keepWalk, walkTo } from "@/db/queries/edits";
import { fingeringById, fingeringsOf } from "@/db/queries/fingerings";
import { changeToWalk, walkChange, type LoggedChange } from "@/db/queries/passage-changes";
import { GONE } from "../gone";
import { answered } from "./options";
import { passageGiven } from "../passages/passage-given";
import { inThread } from "../threads/pool";
import { followTune } from "../passages/plan-marks";
import type { Answer, Walked } from "../types";
import { followTaken, followWishes } from "./wishes";

export const WalkAsked = z.object({
  /** Of the request: sent twice, it walks once. */
  id: z.uuid(),
  fingeringId: z.uuid(),
  onVersion: z.number().int().min(1),
  way: z.enum(["undo", "redo"]),
});

/** Undo or redo: takes back what was done last, to this option or to the whole passage, or does it again. */
export async function walkBack(db: Db, asked: z.infer<typeof WalkAsked>): Promise<Answer<Walked>> {
  const { id, fingeringId, way } = asked;
  const change = await changeToWalk(db, fingeringId, way);
  if (!change) return walkEdit(db, asked);
  if (!(await walkWhole(db, id, change, way))) return GONE;
  const now = await fingeringById(db, fingeringId);
  const options = await fingeringsOf(db, change.passageId);
  return now ? { ok: true, value: { outcome: "kept", now, options } } : GONE;
}

/**
 * Walks along an option's own edits. Where the music, the hands and all that is asked are as they were, its digits of then
 * come back to the letter; else its pins and rule-outs of then, with the rest worked out for how things are now.
 */
async function walkEdit(
  db: Db,
  { id, fingeringId, onVersion, way }: z.infer<typeof WalkAsked>,
): Promise<Answer<Walked>> {
  const now = await fingeringById(db, fingeringId);
  if (!now) return answered({ outcome: "gone" }) as Answer<Walked>;
  const to = await walkTo(db, now, way);
  if (!to) return { ok: true, value: { outcome: "kept", now, options: null } };
  const asked = { id, fingeringId, onVersion };
  const digits = to.holds ? to.state.digits : await digitsNow(db, now, to.state);
  if (digits === null) return GONE;
  const kept = answered(await keepWalk(db, asked, way, to, digits));
  return kept.ok ? { ok: true, value: { ...kept.value, options: null } } : kept;
}

type Option = NonNullable<Awaited<ReturnType<typeof fingeringById>>>;

/** Digits for an earlier state of an option, for the music and the fingers as they are now; null where it is gone. */
async function digitsNow(db: Db, option: Option, state: Pick<Option, "digits" | "pins" | "ruledOut">) {
  const given = await passageGiven(db, option.passageId);
  if (!given) return null;
  const { study, passage } = given;
  // The engine's own digits were the best for then; what somebody printed or typed is kept to wherever it can be.
  const asked = {
    study,
    wishes: passage.wishes,
    freed: [],
    after: option.origin === "solved" ? "asked" : "music",
  } as const;
  const found = await inThread("followed", { ...asked, options: [{ ...option, ...state }] });
  return found[option.id] ?? state.digits;
}

/** Walks along a change of the whole passage, options following. Returns whether it was there. */
async function walkWhole(db: Db, id: string, change: LoggedChange, way: "undo" | "redo"): Promise<boolean> {
  const { passageId, what } = change;
  switch (what) {
    case "wishes": {
      const changed = await walkChange(db, id, { ...change, what }, way);
      if (changed) await followWishes(db, passageId, changed);
      return changed !== null;
    }
    case "taken": {
      const changed = await walkChange(db, id, { ...change, what }, way);
      if (changed) await followTaken(db, passageId, changed);
      return changed !== null;
    }
    case "planMarks": {
      const changed = await walkChange(db, id, { ...change, what }, way);
      if (changed) await followTune(db, passageId, changed);
      return changed !== null;
    }
  }
}
