import type { Fingering } from "@/core/fingering/fingering";
import type { Step } from "@/core/fingering/steps";
import { pitchName } from "@/core/keyboard/pitch";
import type { Note, NoteId } from "@/core/passage/note";
import { handOf, type Passage } from "@/core/passage/passage";
import { add, toNumber, type Beats } from "@/core/time/beats";

const FRACTIONS = [
  [0, ""],
  [1 / 4, "¼"],
  [1 / 2, "½"],
  [3 / 4, "¾"],
  [1 / 3, "⅓"],
  [2 / 3, "⅔"],
  [1 / 6, "⅙"],
  [5 / 6, "⅚"],
  [1 / 8, "⅛"],
  [3 / 8, "⅜"],
  [5 / 8, "⅝"],
  [7 / 8, "⅞"],
] as const;

/** "bar 3, beat 2¼": beats counted from 1, in quarter notes. */
export function placeText(bar: string, beat: Beats): string {
  const at = toNumber(add(beat, "1" as Beats));
  const whole = Math.floor(at + 1e-9);
  const part = at - whole;
  const fraction = FRACTIONS.find(([value]) => Math.abs(value - part) < 1e-6);
  return `bar ${bar}, beat ${fraction ? `${whole}${fraction[1]}` : at.toFixed(2)}`;
}

/** A step read out: place, notes and fingers. */
export function stepText(step: Step, passage: Passage, fingering: Fingering): string {
  const notes = step.notes.map((id) =>
    noteText(
      passage.notes.find((n) => n.id === id)!,
      passage,
      fingering,
    ),
  );
  return `${placeText(step.bar, step.beat)}: ${notes.join("; ")}`;
}

export function noteText(note: Note, passage: Passage, fingering: Fingering): string {
  const finger = fingering[note.id];
  return `${pitchName(note.pitch)}, ${handOf(note, passage)} hand, ${finger ? `finger ${finger}` : "no finger"}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The step that a note belongs to. */
export function stepOf(steps: readonly Step[], note: NoteId): number {
  return steps.findIndex((s) => s.notes.includes(note));
}
