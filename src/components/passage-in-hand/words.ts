import type { Fingering } from "@/core/fingering/study/fingering";
import type { Step } from "@/core/fingering/study/steps";
import { noteName, type Note, type NoteId } from "@/core/passage/note";
import { handOf, type Passage } from "@/core/passage/passage";
import { placeText } from "@/core/passage/place";

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

function noteText(note: Note, passage: Passage, fingering: Fingering): string {
  const finger = fingering[note.id];
  return `${noteName(note)}, ${handOf(note, passage)} hand, ${finger ? `finger ${finger}` : "no finger"}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The step that a note belongs to. */
export function stepOf(steps: readonly Step[], note: NoteId): number {
  return steps.findIndex((s) => s.notes.includes(note));
}
