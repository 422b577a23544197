import type { Side } from "../hand/finger";
import type { Note, NoteId } from "../passage/note";
import { handOf, type Passage } from "../passage/passage";
import type { NoteRemedies, NoteRemedy } from "../passage/remedied";

/** Notes written to be struck together with one, in its hand as written, that one among them. */
function struckWith(passage: Passage, id: NoteId): readonly Note[] {
  const note = passage.notes.find((n) => n.id === id);
  if (!note) return [];
  const side = writtenHand(note, passage);
  return passage.notes.filter(
    (n) => n.onset === note.onset && n.grace === note.grace && writtenHand(n, passage) === side,
  );
}

/** Remedies chosen for the notes of a moment. */
export function remediesAt(passage: Passage, id: NoteId): NoteRemedies {
  const chosen: Record<NoteId, NoteRemedy> = {};
  for (const note of struckWith(passage, id)) {
    const remedy = passage.remedies?.[note.id];
    if (remedy) chosen[note.id] = remedy;
  }
  return chosen;
}

function writtenHand(note: Note, passage: Passage): Side {
  return handOf(note, { ...passage, remedies: {} });
}
