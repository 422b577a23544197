import { z } from "zod";
import { drain } from "@/core/drain";
import type { Pins } from "@/core/fingering/fingering";
import { fingering, latticesOf, notesAsked } from "@/core/fingering/study";
import { studyOf } from "@/core/fingering/study-data";
import type { Db } from "@/db/client";
import { fingeringsOf, rework } from "@/db/queries/fingerings";
import { passageData } from "./passages";
import type { Answer, OptionData } from "./types";

export const ReworkAsked = z.object({ passageId: z.uuid() });

/**
 * Works every option of a passage out anew around its pins, after the hands or the notes have changed. Pins on
 * resting fingers and on notes that are no longer played are not kept to.
 */
export async function reworkOptions(
  db: Db,
  { passageId }: z.infer<typeof ReworkAsked>,
): Promise<Answer<readonly OptionData[]>> {
  const data = await passageData(db, passageId);
  if (!data) return { ok: false, message: "This passage is not there any more." };
  const study = studyOf(data.study);
  const asked = new Set<string>(notesAsked(study));
  const lattices = latticesOf(study);
  const resting = [...study.hands.right.resting, ...study.hands.left.resting];
  for (const { id, pins } of data.options) {
    const standing = Object.entries(pins).filter(([note, finger]) => asked.has(note) && !resting.includes(finger));
    const [best] = drain(fingering(lattices, Object.fromEntries(standing) as Pins, 1));
    if (best) await rework(db, id, best);
  }
  return { ok: true, value: await fingeringsOf(db, passageId) };
}
