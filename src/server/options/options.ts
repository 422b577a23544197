import { z } from "zod";
import type { RuledOut } from "@/core/fingering/search/conditions";
import { LEANING_IDS } from "@/core/options/leanings";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { keepEdit, type EditKept as KeptInDatabase } from "@/db/queries/edits";
import { addFirstFingerings } from "@/db/queries/fingerings";
import { GONE } from "../gone";
import { NoteName } from "../passages/note-name";
import type { Answer, OptionKept, OptionData } from "../types";

const Finger = z.literal([1, 2, 3, 4, 5]);
export const Digits = z.record(NoteName, Finger.nullable()).transform((digits) => digits as Fingering);
const PinsGiven = z.record(NoteName, Finger).transform((pins) => pins as Pins);

export const FirstOptionsAsked = z.object({
  passageId: z.uuid(),
  options: z
    .array(
      z.object({
        name: z.string().regex(/^[A-Z]\d*$/),
        origin: z.enum(["solved", "printed"]),
        leaning: z.enum(LEANING_IDS),
        digits: Digits,
        pins: PinsGiven,
      }),
    )
    .min(1)
    .max(8),
});

export const EditAsked = z
  .object({
    id: z.uuid(),
    fingeringId: z.uuid(),
    onVersion: z.number().int().min(1),
    kind: z.enum(["pin", "lift", "rule-out", "allow", "pin-stretch", "clear-stretch"]),
    noteId: NoteName.transform((name) => name as NoteId),
    finger: Finger.nullable(),
    digits: Digits,
    pins: PinsGiven,
    ruledOut: z.record(NoteName, z.array(Finger).max(5)).transform((given) => given as RuledOut),
  })
  .refine(({ kind, finger }) => ["pin", "rule-out", "allow"].includes(kind) === (finger !== null), {
    message: "A finger is pinned or ruled out, and nothing else names one.",
  });

/** Keeps the options a passage opens with; where another window was first, gives back what it kept. */
export async function addFirstOptions(
  db: Db,
  asked: z.infer<typeof FirstOptionsAsked>,
): Promise<Answer<readonly OptionData[]>> {
  const options = await addFirstFingerings(db, asked.passageId, asked.options);
  return options ? { ok: true, value: options } : GONE;
}

export async function editOption(db: Db, asked: z.infer<typeof EditAsked>): Promise<Answer<OptionKept>> {
  return answered(await keepEdit(db, asked));
}

/** The answer to what has become of an option. */
export function answered(kept: KeptInDatabase): Answer<OptionKept> {
  if (kept.outcome === "gone") return { ok: false, message: "This option is not there any more." };
  return { ok: true, value: kept };
}
