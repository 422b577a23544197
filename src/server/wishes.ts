import { z } from "zod";
import { drain } from "@/core/drain";
import { TYING } from "@/core/figures/tying";
import { fingering, latticesOf } from "@/core/fingering/study";
import { leaningById, type LeaningId } from "@/core/fingering/leanings";
import { leaningStudy } from "@/core/fingering/leaning-study";
import { optionConditions } from "@/core/fingering/option-conditions";
import { keepsTo } from "@/core/fingering/keeps-to";
import type { FingeringWishes } from "@/core/fingering/wishes";
import { ALLOWED, EASIER } from "@/core/fingering/sharing/wishes";
import { studyOf } from "@/core/fingering/study-data";
import type { NoteId } from "@/core/passage/note";
import { TEMPO_RANGE, type HandsTaken } from "@/core/passage/passage";
import type { Db } from "@/db/client";
import { fingeringsOf, rework } from "@/db/queries/fingerings";
import { changeWhole, type Changed } from "@/db/queries/passage-changes";
import { keepSharedMark, keepTempo, passageById } from "@/db/queries/passages";
import { GONE } from "./gone";
import { NoteName } from "./options";
import { passageData } from "./passages";
import { reworkOptions } from "./rework";
import type { Answer, OptionData, PassageData, WholeKept } from "./types";

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
  passageId: z.uuid(),
  /** As the window showed them before the change. */
  before: Wishes,
  after: Wishes,
});

/**
 * Keeps what is asked of every fingering; what another window changed meanwhile stays. Where it bears on them, those that
 * the engine made are worked out anew.
 */
export async function chooseWishes(
  db: Db,
  { passageId, before, after }: { readonly passageId: string } & Readonly<Record<"before" | "after", FingeringWishes>>,
): Promise<Answer<WholeKept<FingeringWishes>>> {
  const changed = await changeWhole(db, passageId, "wishes", { before, after });
  if (!changed) return GONE;
  await followWishes(db, passageId, changed);
  return { ok: true, value: { is: changed.is, options: await fingeringsOf(db, passageId) } };
}

/** Lets options follow what is asked now, where it bears on them. */
export async function followWishes(db: Db, passageId: string, { was, is }: Changed<"wishes">): Promise<void> {
  const data = bearsOn(was, is) ? await passageData(db, passageId) : null;
  if (data) await workOutSolved(db, data);
}

/**
 * Works out anew, around their pins, the fingerings that the engine made: the first of each leaning, and of the others
 * those that do not keep to what is asked.
 */
async function workOutSolved(db: Db, { study: given, options, wishes }: PassageData): Promise<void> {
  const study = studyOf(given);
  const seen = new Set<LeaningId>();
  for (const option of options.filter((o) => o.origin === "solved")) {
    const leaning = leaningById(option.leaning);
    const leant = leaningStudy(study, leaning);
    const conditions = optionConditions(leant, leaning, wishes, option);
    const isFirst = !seen.has(option.leaning);
    seen.add(option.leaning);
    if (!isFirst && keepsTo(leant, conditions, option.digits)) continue;
    const [best] = drain(fingering(latticesOf(leant), conditions, 1));
    if (best) await rework(db, option.id, { ...option.digits, ...best });
  }
}

/** Whether what has changed is asked of fingerings, not of the sharing out. */
function bearsOn(before: FingeringWishes, after: FingeringWishes): boolean {
  if (JSON.stringify(before.ties ?? []) !== JSON.stringify(after.ties ?? [])) return true;
  return (["tying", "noThumbOnBlack", "noFourthAndFifth"] as const).some((name) => before[name] !== after[name]);
}

const Taken = z.record(NoteName, z.enum(["right", "left"])).transform((given) => given as HandsTaken);

export const TakenAsked = z.object({
  passageId: z.uuid(),
  /** As the window showed them before the change. */
  before: Taken,
  after: Taken,
});

/** Keeps which notes one hand takes from the other, as chooseWishes keeps wishes, and works the options out anew about them. */
export async function shareOut(
  db: Db,
  { passageId, before, after }: z.infer<typeof TakenAsked>,
): Promise<Answer<WholeKept<HandsTaken>>> {
  const changed = await changeWhole(db, passageId, "taken", { before, after });
  if (!changed) return GONE;
  await followTaken(db, passageId, changed);
  return { ok: true, value: { is: changed.is, options: await fingeringsOf(db, passageId) } };
}

/** Lets options follow what each hand plays now. */
export async function followTaken(db: Db, passageId: string, { was, is }: Changed<"taken">): Promise<void> {
  const moved = (Object.keys({ ...was, ...is }) as NoteId[]).filter((id) => was[id] !== is[id]);
  if (moved.length === 0) return;
  await reworkOptions(db, { passageId }, new Set(moved));
  const data = await passageData(db, passageId);
  if (data) await workOutSolved(db, data);
}

export const SharedMarkAsked = z.object({ passageId: z.uuid(), noteId: NoteName, marked: z.boolean() });

/** Marks a note that the other hand may take, or takes the mark away. */
export async function markShared(
  db: Db,
  { passageId, noteId, marked }: z.infer<typeof SharedMarkAsked>,
): Promise<Answer<null>> {
  if (!(await passageById(db, passageId))) return GONE;
  await keepSharedMark(db, passageId, noteId, marked);
  return { ok: true, value: null };
}

export const TempoAsked = z.object({
  passageId: z.uuid(),
  tempo: z
    .number({ error: "Say the tempo as a number." })
    .min(TEMPO_RANGE[0], `The tempo is at least ${TEMPO_RANGE[0]} quarter notes a minute.`)
    .max(TEMPO_RANGE[1], `The tempo is at most ${TEMPO_RANGE[1]} quarter notes a minute.`),
});

/** Gives a passage another target tempo; the fingerings that the engine made are worked out anew for it. */
export async function retarget(
  db: Db,
  { passageId, tempo }: z.infer<typeof TempoAsked>,
): Promise<Answer<readonly OptionData[]>> {
  if (!(await passageById(db, passageId))) return GONE;
  await keepTempo(db, passageId, tempo);
  const data = await passageData(db, passageId);
  if (!data) return GONE;
  await workOutSolved(db, data);
  return { ok: true, value: await fingeringsOf(db, passageId) };
}
