import type { Fingering } from "@/core/fingering/fingering";
import type { Study } from "@/core/fingering/study";
import { notesAsked } from "@/core/fingering/study";
import type { Side } from "@/core/hand/finger";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { passageOfKeys } from "@/core/passage/of-keys";
import type { Manner, Passage } from "@/core/passage/passage";

export const MANNER: Manner = { tempo: 96, touch: "legato", pedal: false };

/** A study of a passage on middle hands and a full-size keyboard. */
export function studyOn(passage: Passage, manner: Partial<Manner> = {}, span = 205): Study {
  return {
    passage,
    hands: { right: handOfRulerSpan("right", span), left: handOfRulerSpan("left", span) },
    instrument: FULL_SIZE,
    manner: { ...MANNER, ...manner },
  };
}

/** The same of bare keys in sixteenths; an inner list is a chord. */
export function studyOfKeys(
  keys: readonly (number | readonly number[])[],
  side: Side = "right",
  manner: Partial<Manner> = {},
  span = 205,
): Study {
  return studyOn(passageOfKeys(keys, "1/4", side), manner, span);
}

/** Digits in the order of the notes, as a fingering; 0 where none plays. */
export function fingered(study: Study, digits: string): Fingering {
  return Object.fromEntries(notesAsked(study).map((id, i) => [id, Number(digits[i]) || null])) as Fingering;
}
