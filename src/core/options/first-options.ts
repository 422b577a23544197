import type { Finger } from "../hand/finger";
import type { NoteId } from "../passage/note";
import type { Conditions } from "../fingering/search/conditions";
import type { Fingering, Pins } from "../fingering/study/fingering";
import { leaningConditions } from "./leaning-study";
import { leaningById, type LeaningId } from "./leanings";
import { offering } from "./offering";
import type { Progress } from "../fingering/search/search";
import { fingering, latticesOf, notesAsked, type Study } from "../fingering/study/study";
import { optionName } from "./option-name";

/** An option as first put before the player. */
export interface FirstOption {
  readonly name: string;
  readonly origin: "solved" | "printed";
  readonly leaning: LeaningId;
  readonly fingering: Fingering;
  readonly pins: Pins;
}

/** How many solved options a passage opens with at most. */
const FIRST_SOLVED = 3;

/**
 * What a passage opens with: the best fingering, others worth showing, and, where digits came with the notes, those
 * with the rest worked out around them. A generator, so that it can be stopped.
 */
export function* findingFirstOptions(study: Study): Generator<Progress, readonly FirstOption[]> {
  const offers = yield* offering(study, {}, FIRST_SOLVED);
  const options = offers.map(({ fingering, leaning }, place): FirstOption => ({
    name: optionName(place),
    origin: "solved",
    leaning,
    fingering,
    pins: {},
  }));
  const printed = printedDigits(study);
  if (Object.keys(printed).length === 0) return options;
  const around: Conditions = leaningConditions(study, leaningById("balanced"), { pins: printed });
  const [found] = yield* fingering(latticesOf(study), around, 1);
  const name = optionName(options.length);
  return [...options, { name, origin: "printed", leaning: "balanced", fingering: found!, pins: printed }];
}

/** The digits that came with the notes that are to be played. */
export function printedDigits(study: Study): Pins {
  const asked = new Set(notesAsked(study));
  const pins: Record<NoteId, Finger> = {};
  for (const { id, printed } of study.passage.notes)
    if (printed !== null && asked.has(id)) pins[id] = printed as Finger;
  return pins;
}
