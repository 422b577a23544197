import type { Note, NoteId } from "@/core/passage/note";
import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import type { LinePlaces } from "../engraving/places";

export interface RemedySignPlaced {
  readonly note: NoteId;
  readonly remedy: NoteRemedy;
  readonly x: number;
  readonly y: number;
}

/** px from a note's middle to its own sign, and from a chord's ink to the chord's. */
const BESIDE = 17;
const CLEAR = 11;

/**
 * Remedies that concern a single note stand beside it; those of a whole chord stand once, on the side of the chord
 * that the digits leave free: under the upper staff, over the lower.
 */
export function placeSigns(
  places: LinePlaces,
  notes: readonly Note[],
  remedies: NoteRemedies,
): readonly RemedySignPlaced[] {
  const seen = new Set<string>();
  return [...notes]
    .sort((a, b) => a.pitch - b.pitch)
    .flatMap((note): RemedySignPlaced[] => {
      const [remedy, place] = [remedies[note.id], places.notes.get(note.id)];
      if (!remedy || !place) return [];
      const chord = `${note.staff} ${note.onset} ${remedy.kind}`;
      if (OF_A_CHORD.has(remedy.kind) && seen.has(chord)) return [];
      seen.add(chord);
      if (!OF_A_CHORD.has(remedy.kind)) return [{ note: note.id, remedy, x: place.x + BESIDE, y: place.y }];
      const y = note.staff === 1 ? place.bottom + CLEAR : place.top - CLEAR;
      return [{ note: note.id, remedy, x: place.x, y }];
    });
}

const OF_A_CHORD: ReadonlySet<NoteRemedy["kind"]> = new Set(["roll", "edges", "flat", "lean"]);
