import { tuneOf } from "../passage/passage";
import { pitchClass } from "../keyboard/pitch";
import type { Down, Predicament } from "./predicament";

/** The tune: what the player has marked as such, or where nothing is marked the highest key that either hand has down. */
export function isTune(down: Down, { down: own, other, study: { passage } }: Predicament): boolean {
  if (passage.tune !== undefined && tuneOf(passage).has(down.note.id)) return true;
  return [...own, ...other].every((d) => d.key <= down.key);
}

/** The bass: the lowest key that either hand has down. */
export function isBass(down: Down, { down: own, other }: Predicament): boolean {
  return [...own, ...other].every((d) => d.key >= down.key);
}

/** Whether another key down sounds the same note in another octave. */
export function isDoubled(down: Down, { down: own, other }: Predicament): boolean {
  return [...own, ...other].some((d) => d.key !== down.key && pitchClass(d.key) === pitchClass(down.key));
}

/** Notes struck now that may be given up: tune and bass only where the player allows it. */
export function givable(predicament: Predicament, tuneAndBass: boolean): readonly Down[] {
  return predicament.down.filter(
    (d) => d.struck && (tuneAndBass || (!isTune(d, predicament) && !isBass(d, predicament))),
  );
}
