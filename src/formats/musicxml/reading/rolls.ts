import type { Note, NoteId } from "@/core/passage/note";
import { MOTION } from "@/core/physics";
import type { NoteHead } from "../score";

type Roll = NonNullable<NoteHead["roll"]>;

/**
 * Semitones within which a rolled chord is held as it is played; in a wider one fingers leave their keys to the pedal. A
 * choice: an octave, the widest that every hand holds.
 */
const HELD_WITHIN = 12;

/**
 * Notes with the chords that are marked so rolled: in each staff by itself, or, where a number says that marks belong
 * together, over both; beginning on the beat, upward unless marked downward. One marked note alone is no chord.
 * @param rolls how a note is marked, by note
 */
export function writtenRolls(notes: readonly Note[], rolls: ReadonlyMap<NoteId, Roll>): readonly Note[] {
  if (rolls.size === 0) return notes;
  const groups = new Map<string, Note[]>();
  for (const note of notes) {
    const roll = rolls.get(note.id);
    if (!roll) continue;
    const key = `${note.onset} ${roll.number === "" ? `staff ${note.staff}` : roll.number}`;
    groups.set(key, [...(groups.get(key) ?? []), note]);
  }
  const rolled = new Map<NoteId, Note>();
  for (const group of groups.values()) {
    if (group.length < 2) continue;
    const upward = [...group].sort((a, b) => a.pitch - b.pitch);
    const caught = upward.at(-1)!.pitch - upward[0]!.pitch > HELD_WITHIN;
    const order = rolls.get(group[0]!.id)!.direction === "down" ? upward.reverse() : upward;
    order.forEach((note, place) =>
      rolled.set(note.id, { ...note, grace: place, rolled: { stepMs: MOTION.rollStep, caught } }),
    );
  }
  return notes.map((note) => rolled.get(note.id) ?? note);
}
