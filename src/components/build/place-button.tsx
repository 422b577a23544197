import { placeText } from "@/core/passage/place";
import type { Note, NoteId } from "@/core/passage/note";
import { capital } from "../passage-in-hand/words";

/** Goes to a note by its bar and beat. */
export function PlaceButton({
  notes,
  note,
  onGo,
}: {
  notes: readonly Note[];
  note: NoteId;
  onGo: (note: NoteId) => void;
}) {
  const found = notes.find((n) => n.id === note);
  if (!found) return null;
  return (
    <button
      type="button"
      onClick={() => onGo(note)}
      className="min-h-6 underline decoration-hairline underline-offset-4"
    >
      {capital(placeText(found.bar, found.beat))}
    </button>
  );
}
