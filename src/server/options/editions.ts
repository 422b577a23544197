import { randomUUID } from "node:crypto";
import { z } from "zod";
import { notesAsked, type Study } from "@/core/fingering/study/study";
import { studyOf } from "@/core/fingering/study/study-data";
import type { Pins } from "@/core/fingering/study/fingering";
import type { Finger } from "@/core/hand/finger";
import { alike } from "@/core/passage/alike";
import type { Note, NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { addFingering } from "@/db/queries/fingerings";
import { GONE } from "../gone";
import { Digits } from "./options";
import { passageGiven, type PassageGiven } from "../passages/passage-given";
import { text } from "../text";
import { inThread, TooMuch } from "../threads/pool";
import type { Answer, OptionData } from "../types";

const author = text([80, "A name has at most 80 letters."]);

/** Another option, under an id that the page gives it, so that sending it twice makes one. */
export const TypedAsked = z.object({ id: z.uuid(), passageId: z.uuid(), author: author.default("") });

/** Adds a fingering to type: without any pin, the rest worked out around what will be typed. */
export async function addTyped(
  db: Db,
  { id, passageId, author: by }: z.infer<typeof TypedAsked>,
): Promise<Answer<readonly OptionData[]>> {
  const given = await passageGiven(db, passageId);
  return given ? added(db, given, id, "typed", by || null, {}) : GONE;
}

export const FoundAsked = z.object({
  id: z.uuid(),
  passageId: z.uuid(),
  /** Where it was found, in a few words. */
  found: author.min(1),
  digits: Digits,
});

/** Keeps a fingering that the engine has found beside the options, with its digits as they are. */
export async function addFound(
  db: Db,
  { id, passageId, found, digits }: z.infer<typeof FoundAsked>,
): Promise<Answer<readonly OptionData[]>> {
  const option = { id, origin: "solved", leaning: "balanced", author: found, digits, pins: {} } as const;
  const options = await addFingering(db, passageId, option);
  return options ? { ok: true, value: options } : GONE;
}

export interface Edition {
  readonly options: readonly OptionData[];
  /** Digits taken over, and notes of the passage that the file does not have. */
  readonly taken: number;
  readonly missing: number;
  /** Where the two editions differ, in sentences. */
  readonly differences: readonly string[];
}

/**
 * Adds the digits of another file with the same passage, wherever it stands there: its notes are found by pitch and rhythm, see
 * core/passage/alike. What it has no digit for is worked out around them.
 */
export async function addEdition(
  db: Db,
  passageId: string,
  file: { readonly name: string; readonly bytes: Uint8Array },
): Promise<Answer<Edition>> {
  const given = await passageGiven(db, passageId);
  if (!given) return GONE;
  const theirs = await notesOf(file.bytes, given.passage.hands);
  if (!theirs.ok) return { ok: false, message: `${file.name}: ${theirs.message}` };
  const { from, to } = given.music.bars;
  const found = digitsFrom(studyOf(given.study), theirs.value);
  if (!found) return { ok: false, message: `${file.name} does not have the music of bars ${from} to ${to}.` };
  const { pins, missing, differences } = found;
  const taken = Object.keys(pins).length;
  if (taken === 0) return { ok: false, message: `${file.name} has no digit on a note of bars ${from} to ${to}.` };
  const name = file.name.replace(/\.(musicxml|mxl|xml)$/i, "").slice(0, 80);
  const options = await added(db, given, randomUUID(), "printed", name, pins);
  return options.ok ? { ok: true, value: { options: options.value, taken, missing, differences } } : options;
}

async function notesOf(source: Uint8Array, hands: PassageGiven["passage"]["hands"]): Promise<Answer<readonly Note[]>> {
  try {
    return await inThread("editionNotes", { source, hands });
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
    return { ok: false, message: "Reading it takes more time or memory than any score." };
  }
}

interface DigitsFound {
  readonly pins: Pins;
  readonly missing: number;
  readonly differences: readonly string[];
}

/** Their digits on our notes, wherever in their file the passage stands; null where it has no such passage. */
function digitsFrom(study: Study, theirs: readonly Note[]): DigitsFound | null {
  const { notes } = study.passage;
  const found = alike(notes, theirs);
  if (found.theirs.size < LEAST_ALIKE * notes.length) return null;
  const asked = new Set(notesAsked(study));
  const pins: Record<NoteId, Finger> = {};
  for (const [id, { printed }] of found.theirs) if (asked.has(id) && printed !== null) pins[id] = printed as Finger;
  return {
    pins,
    missing: found.missing.filter(({ id }) => asked.has(id)).length,
    differences: found.differences,
  };
}

/** Share of a passage's notes that another file has to have to be of the same music. */
const LEAST_ALIKE = 0.6;

async function added(
  db: Db,
  { passage, study }: PassageGiven,
  id: string,
  origin: OptionData["origin"],
  by: string | null,
  pins: Pins,
): Promise<Answer<readonly OptionData[]>> {
  const asked = { wishes: passage.wishes, leaning: "balanced", pins, ruledOut: {} } as const;
  const digits = await inThread("around", { study, ...asked });
  const options = await addFingering(db, passage.id, { id, origin, leaning: "balanced", author: by, digits, pins });
  return options ? { ok: true, value: options } : GONE;
}
