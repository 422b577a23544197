import { beatsOf, type Base } from "@/core/entry/length";
import { add, toNumber, ZERO, type Beats } from "@/core/time/beats";
import type { NewNote } from "./new-score";

const LEVELS: Partial<Record<Base, number>> = { 8: 1, 16: 2, 32: 3, 64: 4, 128: 5 };

/** Beams over the notes of each quarter beat, all at the level of the group's longest note; one text a note. */
export function beamsOf(notes: readonly NewNote[]): readonly string[] {
  let at: Beats = ZERO;
  const groups = new Map<number, number[]>();
  notes.forEach(({ pitches, length, isGrace }, i) => {
    if (isGrace) return;
    const beat = Math.floor(toNumber(at));
    if (pitches.length > 0 && LEVELS[length.base]) groups.set(beat, [...(groups.get(beat) ?? []), i]);
    at = add(at, beatsOf(length));
  });
  const beams = notes.map(() => "");
  for (const group of groups.values()) {
    if (group.length < 2) continue;
    const levels = Math.min(...group.map((i) => LEVELS[notes[i]!.length.base]!));
    group.forEach((i, place) => {
      const kind = place === 0 ? "begin" : place === group.length - 1 ? "end" : "continue";
      beams[i] = Array.from({ length: levels }, (_, level) => `<beam number="${level + 1}">${kind}</beam>`).join("");
    });
  }
  return beams;
}
