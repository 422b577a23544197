import { z } from "zod";
import type { Db } from "@/db/client";
import { isRepeated } from "@/db/queries/history";
import { name } from "../text";
import type { Answer, GoneData } from "../types";
import { BELONGING_KINDS, BELONGINGS, type BelongingKind } from "./kinds";

const Which = {
  /** Of the request: sent twice, it is done once. */
  request: z.uuid(),
  kind: z.enum(BELONGING_KINDS),
  id: z.uuid(),
};

export const RenameAsked = z
  .object({ ...Which, title: name("thing").nullable() })
  .refine(({ kind, title }) => title !== null || BELONGINGS[kind].untitled, "It cannot be without a name.");

/** Gives a belonging another title. */
export async function rename(
  db: Db,
  { request, kind, id, title }: z.infer<typeof RenameAsked>,
): Promise<Answer<{ readonly title: string | null }>> {
  const there = await db.transaction(async (tx) => {
    if (await isRepeated(tx, request)) return true;
    return BELONGINGS[kind].rename(tx, id, title);
  });
  return there ? { ok: true, value: { title } } : notThere(kind);
}

export const GoneAsked = z.object({ ...Which, gone: z.boolean() });

/** Takes a belonging away, or brings it back with everything that belongs to it. */
export async function takeOrBring(
  db: Db,
  { request, kind, id, gone }: z.infer<typeof GoneAsked>,
): Promise<Answer<{ readonly gone: boolean }>> {
  return db.transaction(async (tx): Promise<Answer<{ readonly gone: boolean }>> => {
    const belonging = BELONGINGS[kind];
    if (await isRepeated(tx, request)) return { ok: true, value: { gone } };
    const stays = gone ? await belonging.stays?.(tx, id) : null;
    if (stays) return { ok: false, message: stays };
    return (await belonging.setGone(tx, id, gone ? new Date() : null)) ? { ok: true, value: { gone } } : notThere(kind);
  });
}

/** All that was taken away and can be brought back, the newest first. */
export async function goneData(db: Db, pianistId: string): Promise<readonly GoneData[]> {
  const all = await Promise.all(
    BELONGING_KINDS.map(async (kind) =>
      (await BELONGINGS[kind].gone(db, pianistId)).map((row) => ({ kind, noun: BELONGINGS[kind].noun, ...row })),
    ),
  );
  return all
    .flat()
    .sort((a, b) => b.at.getTime() - a.at.getTime())
    .map(({ at, ...row }) => ({ ...row, at: at.toISOString() }));
}

function notThere(kind: BelongingKind) {
  return { ok: false, message: `This ${BELONGINGS[kind].noun} is not there any more.` } as const;
}
