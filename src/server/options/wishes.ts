import { z } from "zod";
import { TYING } from "@/core/figures/tying";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import { ALLOWED, EASIER } from "@/core/options/sharing/wishes";
import type { NoteId } from "@/core/passage/note";
import { TEMPO_RANGE, type Redistribution } from "@/core/passage/passage";
import type { Db } from "@/db/client";
import { fingeringsOf } from "@/db/queries/fingerings";
import { changeWhole, type WholeChanged } from "@/db/queries/passage-changes";
import { keepSharedMark, keepTempo, passageById } from "@/db/queries/passages";
import { follow } from "../passages/follow";
import { GONE } from "../gone";
import { NoteName } from "../passages/note-name";
import type { Answer, OptionData, WholeKept } from "../types";

const NoteNamed = NoteName.transform((name) => name as NoteId);

const Wishes = z.object({
  tying: z.enum(TYING),
  ties: z
    .array(z.object({ notes: z.array(NoteNamed).max(400), returns: z.array(z.array(NoteNamed.nullable())).max(100) }))
    .max(100)
    .default([]),
  noThumbOnBlack: z.boolean(),
  noFourthAndFifth: z.boolean(),
  sharing: z.object({ allowed: z.enum(ALLOWED), easier: z.enum(EASIER), crossing: z.boolean() }),
});

export const WishesAsked = z.object({
  /** Of the request: sent twice, it is done once. */
  id: z.uuid(),
  passageId: z.uuid(),
  /** As the window showed them before the change. */
  before: Wishes,
  after: Wishes,
});

interface WholeAsked<T> {
  readonly id: string;
  readonly passageId: string;
  readonly before: T;
  readonly after: T;
}

/**
 * Keeps what is asked of every fingering; what another window changed meanwhile stays. Where it bears on them, those that
 * the engine made are worked out anew.
 */
export async function chooseWishes(
  db: Db,
  { id, passageId, before, after }: WholeAsked<FingeringWishes>,
): Promise<Answer<WholeKept<FingeringWishes>>> {
  const changed = await changeWhole(db, id, passageId, "wishes", { before, after });
  if (!changed) return GONE;
  await followWishes(db, passageId, changed);
  return { ok: true, value: { is: changed.is, options: await fingeringsOf(db, passageId) } };
}

/** Lets options follow what is asked now; what is asked of the sharing out alone changes none. */
export async function followWishes(db: Db, passageId: string, { was, is }: WholeChanged<"wishes">): Promise<void> {
  if (was !== is) await follow(db, passageId, bearsOn(was, is) ? "asked" : "nothing");
}

/** Whether what has changed is asked of fingerings, not of the sharing out. */
function bearsOn(before: FingeringWishes, after: FingeringWishes): boolean {
  if (JSON.stringify(before.ties ?? []) !== JSON.stringify(after.ties ?? [])) return true;
  return (["tying", "noThumbOnBlack", "noFourthAndFifth"] as const).some((name) => before[name] !== after[name]);
}

const Taken = z.record(NoteName, z.enum(["right", "left"])).transform((given) => given as Redistribution);

export const TakenAsked = z.object({
  id: z.uuid(),
  passageId: z.uuid(),
  /** As the window showed them before the change. */
  before: Taken,
  after: Taken,
});

/** Keeps which notes one hand takes from the other, as chooseWishes keeps wishes, and works the options out anew about them. */
export async function shareOut(
  db: Db,
  { id, passageId, before, after }: z.infer<typeof TakenAsked>,
): Promise<Answer<WholeKept<Redistribution>>> {
  const changed = await changeWhole(db, id, passageId, "taken", { before, after });
  if (!changed) return GONE;
  await followTaken(db, passageId, changed);
  return { ok: true, value: { is: changed.is, options: await fingeringsOf(db, passageId) } };
}

/** Lets options follow what each hand plays now. */
export async function followTaken(db: Db, passageId: string, { was, is }: WholeChanged<"taken">): Promise<void> {
  const moved = (Object.keys({ ...was, ...is }) as NoteId[]).filter((id) => was[id] !== is[id]);
  if (moved.length > 0) await follow(db, passageId, "asked", moved);
}

export const SharedMarkAsked = z.object({ id: z.uuid(), passageId: z.uuid(), noteId: NoteName, marked: z.boolean() });

/** Marks a note that the other hand may take, or takes the mark away. */
export async function markShared(
  db: Db,
  { id, passageId, noteId, marked }: z.infer<typeof SharedMarkAsked>,
): Promise<Answer<null>> {
  if (!(await passageById(db, passageId))) return GONE;
  await keepSharedMark(db, id, passageId, noteId, marked);
  return { ok: true, value: null };
}

export const TempoAsked = z.object({
  id: z.uuid(),
  passageId: z.uuid(),
  tempo: z
    .number({ error: "Say the tempo as a number." })
    .min(TEMPO_RANGE[0], `The tempo is at least ${TEMPO_RANGE[0]} quarter notes a minute.`)
    .max(TEMPO_RANGE[1], `The tempo is at most ${TEMPO_RANGE[1]} quarter notes a minute.`),
});

/** Gives a passage another target tempo; the fingerings that the engine made are worked out anew for it. */
export async function retarget(
  db: Db,
  { id, passageId, tempo }: z.infer<typeof TempoAsked>,
): Promise<Answer<readonly OptionData[]>> {
  if (!(await keepTempo(db, id, passageId, tempo))) return GONE;
  await follow(db, passageId, "asked");
  return { ok: true, value: await fingeringsOf(db, passageId) };
}
