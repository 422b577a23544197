import type { Side } from "@/core/hand/finger";
import { pitch } from "@/core/keyboard/pitch";
import type { Note, NoteId } from "@/core/passage/note";
import type { Passage } from "@/core/passage/passage";
import { inOrder } from "@/core/passage/passage";
import { add, beats, multiply, ZERO, type Beats } from "@/core/time/beats";
import type { Seeded } from "./seeded";

/** A note for tests: places and lengths in quarter notes. */
export function note(id: string, key: number, onset: string, duration: string, more: Partial<Note> = {}): Note {
  const at = beats(onset);
  return {
    id: id as NoteId,
    tied: [],
    pitch: pitch(key),
    staff: 1,
    voice: "1",
    onset: at,
    duration: beats(duration),
    grace: 0,
    bar: "1",
    beat: at,
    printed: null,
    ...more,
  };
}

export function passage(notes: readonly Note[], hands: Passage["hands"] = "right", staves = 1): Passage {
  return { notes: inOrder(notes), hands, staves };
}

/**
 * A random passage for one hand: runs and leaps, chords up to three notes, notes held over up to four
 * onsets while others move, the same key again.
 */
export function randomPassage(random: Seeded, onsets: number, side: Side): Passage {
  const step = random.pick(["1/4", "1/3", "1/2", "1"]);
  const notes: Note[] = [];
  let key = random.whole(50, 70);
  let at: Beats = ZERO;
  for (let i = 0; i < onsets; i++, at = add(at, beats(step))) {
    key = Math.min(90, Math.max(40, key + random.whole(-7, 7)));
    const chord = random.chance(0.35) ? random.whole(2, 3) : 1;
    const keys = new Set(Array.from({ length: chord }, (_, n) => key + (n === 0 ? 0 : random.whole(1, 5 * n))));
    for (const struck of keys) {
      const held = random.chance(0.3) ? random.whole(2, 4) : 1;
      const id = `n${notes.length}`;
      notes.push(note(id, struck, at, multiply(beats(step), beats(held)), { voice: held > 1 ? "2" : "1" }));
    }
  }
  return passage(notes, side);
}
