import { z } from "zod";
import type { Db } from "@/db/client";
import { fingeringsOf } from "@/db/queries/fingerings";
import { passageById } from "@/db/queries/passages";
import { follow } from "../passages/follow";
import { GONE } from "../gone";
import type { Answer, OptionData } from "../types";

export const ReworkAsked = z.object({ passageId: z.uuid() });

/**
 * Works every option of a passage out anew after the hands have changed, keeping to its own digits wherever it can: free
 * are the notes that no finger played, and those of resting fingers.
 */
export async function reworkOptions(
  db: Db,
  { passageId }: z.infer<typeof ReworkAsked>,
): Promise<Answer<readonly OptionData[]>> {
  if (!(await passageById(db, passageId))) return GONE;
  await follow(db, passageId, "music");
  return { ok: true, value: await fingeringsOf(db, passageId) };
}
