import { z } from "zod";
import { drain } from "@/core/drain";
import { TYING } from "@/core/figures/tying";
import { fingering, latticesOf } from "@/core/fingering/study";
import { leaningById } from "@/core/fingering/leanings";
import { leaningStudy } from "@/core/fingering/leaning-study";
import { optionConditions } from "@/core/fingering/option-conditions";
import { ALLOWED, EASIER } from "@/core/fingering/sharing/wishes";
import { studyOf } from "@/core/fingering/study-data";
import type { HandsTaken } from "@/core/passage/passage";
import type { Db } from "@/db/client";
import { fingeringsOf, rework } from "@/db/queries/fingerings";
import { keepSharedMark, keepTaken, keepWishes, passageById } from "@/db/queries/passages";
import { NoteName } from "./options";
import { passageData } from "./passages";
import { reworkOptions } from "./rework";
import type { Answer, OptionData, TakenKept } from "./types";

const GONE = { ok: false, message: "This passage is not there any more." } as const;

export const WishesAsked = z.object({
  passageId: z.uuid(),
  wishes: z.object({
    tying: z.enum(TYING),
    noThumbOnBlack: z.boolean(),
    noFourthAndFifth: z.boolean(),
    sharing: z.object({ allowed: z.enum(ALLOWED), easier: z.enum(EASIER), crossing: z.boolean() }),
  }),
});

/** Keeps what is asked of every fingering, and works out anew those that the engine made, around their pins. */
export async function chooseWishes(
  db: Db,
  { passageId, wishes }: z.infer<typeof WishesAsked>,
): Promise<Answer<readonly OptionData[]>> {
  await keepWishes(db, passageId, wishes);
  const data = await passageData(db, passageId);
  if (!data) return GONE;
  const study = studyOf(data.study);
  for (const option of data.options.filter((o) => o.origin === "solved")) {
    const leaning = leaningById(option.leaning);
    const leant = leaningStudy(study, leaning);
    const [best] = drain(fingering(latticesOf(leant), optionConditions(leant, leaning, wishes, option), 1));
    if (best) await rework(db, option.id, { ...option.digits, ...best });
  }
  return { ok: true, value: await fingeringsOf(db, passageId) };
}

export const TakenAsked = z.object({
  passageId: z.uuid(),
  taken: z.record(NoteName, z.enum(["right", "left"])).transform((given) => given as HandsTaken),
});

/** Keeps which notes one hand takes from the other, and works the options out anew about them. */
export async function shareOut(db: Db, { passageId, taken }: z.infer<typeof TakenAsked>): Promise<Answer<TakenKept>> {
  const before = await passageById(db, passageId);
  if (!before) return GONE;
  await keepTaken(db, passageId, taken);
  const named = new Set([...Object.keys(before.taken), ...Object.keys(taken)]);
  const changed = [...named].filter((id) => before.taken[id as keyof HandsTaken] !== taken[id as keyof HandsTaken]);
  const options = await reworkOptions(db, { passageId }, new Set(changed));
  return options.ok ? { ok: true, value: { taken, options: options.value } } : options;
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
