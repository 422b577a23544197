import type { Fingering } from "@/core/fingering/study/fingering";
import type { Study } from "@/core/fingering/study/study";
import { notesAsked } from "@/core/fingering/study/study";
import type { Side } from "@/core/hand/finger";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { passageOfKeys } from "@/core/passage/of-keys";
import type { Manner, Passage } from "@/core/passage/passage";
import { placementsOf, type Placements } from "@/core/placement/placements";

const kept = new Map<string, Placements>();

/** What a hand of a span can hold on a full-size keyboard, asked once in a test run. */
export function placementsFor(side: Side, span: number): Placements {
  const key = `${side} ${span}`;
  if (!kept.has(key)) kept.set(key, placementsOf(handOfRulerSpan(side, span), FULL_SIZE));
  return kept.get(key)!;
}

export const MANNER: Manner = { tempo: 96, touch: "legato", pedal: false };

/** A study of a passage on middle hands and a full-size keyboard. */
export function studyOn(passage: Passage, manner: Partial<Manner> = {}, span = 205): Study {
  const placements = { right: placementsFor("right", span), left: placementsFor("left", span) };
  return {
    passage,
    hands: { right: placements.right.hand, left: placements.left.hand },
    instrument: FULL_SIZE,
    placements,
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
