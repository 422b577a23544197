import type { Finger } from "../hand/finger";
import type { NoteId } from "../passage/note";
import { optionName, worthShowing } from "./options";
import type { Progress } from "./search/search";
import { fingering, latticesOf, notesAsked, type Study } from "./study";
import type { Fingering, Pins } from "./fingering";

/** An option as first put before the player. */
export interface FirstOption {
  readonly name: string;
  readonly origin: "solved" | "printed";
  readonly fingering: Fingering;
  readonly pins: Pins;
}

/** How many of the best are looked through for one that differs in earnest. */
const LOOKED_THROUGH = 40;

/**
 * What a passage opens with: the best fingering, the next best worth showing, and, where digits came with
 * the notes, those with the rest worked out around them. A generator, so that it can be stopped.
 */
export function* findingFirstOptions(
  study: Study,
  lattices = latticesOf(study),
): Generator<Progress, readonly FirstOption[]> {
  const best = yield* fingering(lattices, {}, LOOKED_THROUGH);
  const shown = worthShowing(best, notesAsked(study), 2);
  const options: FirstOption[] = shown.map((found, place) => ({
    name: optionName(place),
    origin: "solved",
    fingering: found,
    pins: {},
  }));
  const printed = printedDigits(study);
  if (Object.keys(printed).length === 0) return options;
  const [around] = yield* fingering(lattices, { pins: printed }, 1);
  return [...options, { name: optionName(options.length), origin: "printed", fingering: around!, pins: printed }];
}

/** The digits that came with the notes that are to be played. */
export function printedDigits(study: Study): Pins {
  const asked = new Set(notesAsked(study));
  const pins: Record<NoteId, Finger> = {};
  for (const { id, printed } of study.passage.notes)
    if (printed !== null && asked.has(id)) pins[id] = printed as Finger;
  return pins;
}
