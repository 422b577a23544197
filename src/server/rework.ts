import { z } from "zod";
import { drain } from "@/core/drain";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import { fingering, handsPlaying, latticesOf, notesAsked, type Study } from "@/core/fingering/study";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { handOf, handsAsked, playedNotes } from "@/core/passage/passage";
import { studyOf } from "@/core/fingering/study-data";
import type { Db } from "@/db/client";
import { fingeringsOf, rework } from "@/db/queries/fingerings";
import { GONE } from "./gone";
import { passageData } from "./passages";
import type { Answer, OptionData } from "./types";

export const ReworkAsked = z.object({ passageId: z.uuid() });

/**
 * Works every option of a passage out anew after the hands or the notes have changed, keeping to its own digits
 * wherever it can: free are the notes named, those that no finger played, and those of resting fingers.
 */
export async function reworkOptions(
  db: Db,
  { passageId }: z.infer<typeof ReworkAsked>,
  changed: ReadonlySet<string> = new Set(),
): Promise<Answer<readonly OptionData[]>> {
  const data = await passageData(db, passageId);
  if (!data) return GONE;
  const study = studyOf(data.study);
  const lattices = latticesOf(study);
  for (const { id, pins, digits } of data.options) {
    const kept = standing(study, { ...without(digits, changed), ...pins });
    const [best] = drain(fingering(lattices, { pins: kept }, 1));
    if (best) await rework(db, id, { ...ofRestingHands(study, digits), ...best });
  }
  return { ok: true, value: await fingeringsOf(db, passageId) };
}

function without(digits: Fingering, changed: ReadonlySet<string>): Fingering {
  return Object.fromEntries(Object.entries(digits).filter(([note]) => !changed.has(note)));
}

/** Digits of a hand that is asked for and out of use wait for it, untouched. */
function ofRestingHands(study: Study, digits: Fingering): Fingering {
  const playing = handsPlaying(study);
  const resting = handsAsked(study.passage).filter((side) => !playing.includes(side));
  const waiting = playedNotes(study.passage).filter((note) => resting.includes(handOf(note, study.passage)));
  return Object.fromEntries(waiting.flatMap(({ id }) => (id in digits ? [[id, digits[id]!]] : [])));
}

/** The digits that can still be kept to: of notes that are played, by fingers that are not resting. */
function standing(study: Study, digits: Fingering): Pins {
  const hands = new Map(playedNotes(study.passage).map((note) => [note.id, study.hands[handOf(note, study.passage)]]));
  const asked = new Set(notesAsked(study));
  return Object.fromEntries(
    (Object.entries(digits) as [NoteId, Finger | null][]).filter(
      ([note, finger]) => finger !== null && asked.has(note) && !hands.get(note)!.resting.includes(finger),
    ),
  ) as Pins;
}
