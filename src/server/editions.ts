import { z } from "zod";
import { drain } from "@/core/drain";
import { leaningById } from "@/core/fingering/leanings";
import { optionConditions } from "@/core/fingering/option-conditions";
import { fingering, latticesOf, notesAsked, type Study } from "@/core/fingering/study";
import { studyOf } from "@/core/fingering/study-data";
import { optionName } from "@/core/fingering/worth-showing";
import type { Pins } from "@/core/fingering/fingering";
import type { Finger } from "@/core/hand/finger";
import type { Note, NoteId } from "@/core/passage/note";
import { toNumber } from "@/core/time/beats";
import type { Db } from "@/db/client";
import { addFingerings, fingeringsOf } from "@/db/queries/fingerings";
import { passageById } from "@/db/queries/passages";
import { wording } from "@/formats/issue";
import { readScore } from "@/formats/musicxml/open";
import { passageFrom } from "@/formats/musicxml/passage";
import { pianoPart } from "@/formats/musicxml/score";
import { GONE } from "./gone";
import { Digits } from "./options";
import { passageData } from "./passages";
import type { Answer, OptionData, PassageData } from "./types";

const balanced = leaningById("balanced");

export const TypedAsked = z.object({
  passageId: z.uuid(),
  author: z.string().trim().max(80, "A name has at most 80 letters.").default(""),
});

/** Adds a fingering to type: without any pin, the rest worked out around what will be typed. */
export async function addTyped(
  db: Db,
  { passageId, author }: z.infer<typeof TypedAsked>,
): Promise<Answer<readonly OptionData[]>> {
  const data = await passageData(db, passageId);
  return data ? added(db, data, "typed", author || null, {}) : GONE;
}

export const FoundAsked = z.object({
  passageId: z.uuid(),
  /** Where it was found, in a few words. */
  found: z.string().trim().min(1).max(80),
  digits: Digits,
});

/** Keeps a fingering that the engine has found beside the options, with its digits as they are. */
export async function addFound(
  db: Db,
  { passageId, found, digits }: z.infer<typeof FoundAsked>,
): Promise<Answer<readonly OptionData[]>> {
  const data = await passageData(db, passageId);
  if (!data) return GONE;
  const name = await freeName(db, passageId);
  const option = { name, origin: "solved", leaning: "balanced", author: found, digits, pins: {} } as const;
  return { ok: true, value: await addFingerings(db, passageId, [option]) };
}

export interface Edition {
  readonly options: readonly OptionData[];
  /** Digits taken over, and notes of the passage that the file does not have. */
  readonly taken: number;
  readonly missing: number;
}

/**
 * Adds the digits of another file with the same passage: the bars of the same number, note by note where bar, place
 * and key agree. What it has no digit for is worked out around them.
 */
export async function addEdition(
  db: Db,
  passageId: string,
  file: { readonly name: string; readonly bytes: Uint8Array },
): Promise<Answer<Edition>> {
  const found = await passageById(db, passageId);
  const data = await passageData(db, passageId);
  if (!found || !data) return GONE;
  const read = readScore(file.bytes);
  if (!read.ok) return { ok: false, message: `${file.name}: ${read.issues.map(wording).join(" ")}` };
  const part = pianoPart(read.value);
  const theirs = passageFrom(part, 1, part.bars.length, found.hands).notes;
  const { pins, missing } = digitsFrom(studyOf(data.study), theirs);
  const taken = Object.keys(pins).length;
  if (taken === 0)
    return { ok: false, message: `${file.name} has no digit on a note of bars ${data.bars.from} to ${data.bars.to}.` };
  const options = await added(db, data, "printed", file.name.replace(/\.(musicxml|mxl|xml)$/i, ""), pins);
  return options.ok ? { ok: true, value: { options: options.value, taken, missing } } : options;
}

/** Their digits on our notes: those of the same bar on paper, place in it and key. */
function digitsFrom(study: Study, theirs: readonly Note[]): { readonly pins: Pins; readonly missing: number } {
  const whereabouts = (n: Note): string => `${n.bar} ${toNumber(n.beat)} ${n.grace} ${n.pitch}`;
  const known = new Map(theirs.map((n) => [whereabouts(n), n]));
  const asked = new Set(notesAsked(study));
  const pins: Record<NoteId, Finger> = {};
  let missing = 0;
  for (const note of study.passage.notes.filter((n) => asked.has(n.id))) {
    const same = known.get(whereabouts(note));
    if (!same) missing++;
    else if (same.printed !== null) pins[note.id] = same.printed as Finger;
  }
  return { pins, missing };
}

async function added(
  db: Db,
  data: PassageData,
  origin: OptionData["origin"],
  author: string | null,
  pins: Pins,
): Promise<Answer<readonly OptionData[]>> {
  const study = studyOf(data.study);
  const conditions = optionConditions(study, balanced, data.wishes, { pins, ruledOut: {} });
  const [digits] = drain(fingering(latticesOf(study), conditions, 1));
  const option = {
    name: await freeName(db, data.id),
    origin,
    leaning: balanced.id as "balanced",
    author,
    digits: digits!,
    pins,
  };
  return { ok: true, value: await addFingerings(db, data.id, [option]) };
}

/** The first letter that no option of a passage goes by. */
async function freeName(db: Db, passageId: string): Promise<string> {
  const taken = new Set((await fingeringsOf(db, passageId)).map((o) => o.name));
  let place = 0;
  while (taken.has(optionName(place))) place++;
  return optionName(place);
}
