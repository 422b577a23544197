import { z } from "zod";
import { SIGN_IDS } from "@/core/motion/marks/signs";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import { SOURCES, STROKE_ENDS, STROKE_STARTS } from "@/core/motion/hand/touch";
import { WATCHED_IDS } from "@/core/motion/hand/watch";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { fingeringsOf } from "@/db/queries/fingerings";
import { bearsOnDigits, changeWhole, type WholeChanged } from "@/db/queries/passage-changes";
import { follow } from "./follow";
import { GONE } from "../gone";
import { NoteName } from "./note-name";
import { text } from "../text";
import type { Answer, WholeKept } from "../types";

const NoteNamed = NoteName.transform((name) => name as NoteId);

/** Signs and words of one passage at most. */
const MOST = 500;

const Marks = z.object({
  signs: z
    .array(
      z.object({
        id: z.string().min(1).max(60),
        sign: z.enum(SIGN_IDS),
        note: NoteNamed,
        to: NoteNamed.nullable(),
        above: z.boolean(),
        words: text([120, "The words of a sign have at most 120 letters."])
          .min(1, "Say something, or take the words away.")
          .nullable(),
      }),
    )
    .max(MOST, `A passage holds at most ${MOST} signs of your own.`),
  hidden: z.array(z.string().max(120)).max(4 * MOST),
  touches: z
    .record(NoteName, z.object({ source: z.enum(SOURCES), start: z.enum(STROKE_STARTS), end: z.enum(STROKE_ENDS) }))
    .transform((given) => given as PlanMarks["touches"]),
  watched: z.array(z.enum(WATCHED_IDS)).max(WATCHED_IDS.length),
  tune: z
    .union([
      z.object({ top: z.literal(true) }),
      z.object({ voice: z.string().max(40) }),
      z.object({ notes: z.array(NoteNamed).max(2000) }),
    ])
    .nullable(),
  free: z.array(NoteNamed).max(4 * MOST),
  school: z.enum(["curled-first", "as-played"]),
});

export const PlanMarksAsked = z.object({
  /** Of the request: sent twice, it is done once. */
  id: z.uuid(),
  passageId: z.uuid(),
  /** As the window showed them before the change. */
  before: Marks,
  after: Marks,
});

/** Lets options follow where the tune lies now. */
export async function followTune(db: Db, passageId: string, marks: WholeChanged<"planMarks">): Promise<void> {
  if (bearsOnDigits(marks, "planMarks")) await follow(db, passageId, "asked");
}

/** Keeps what the player has made of the plan of a passage; what another window changed meanwhile stays. */
export async function markPlan(
  db: Db,
  {
    id,
    passageId,
    before,
    after,
  }: Readonly<Record<"id" | "passageId", string>> & Readonly<Record<"before" | "after", PlanMarks>>,
): Promise<Answer<WholeKept<PlanMarks>>> {
  const marks = await changeWhole(db, id, passageId, "planMarks", { before, after });
  if (!marks) return GONE;
  await followTune(db, passageId, marks);
  return { ok: true, value: { is: marks.is, options: await fingeringsOf(db, passageId) } };
}
