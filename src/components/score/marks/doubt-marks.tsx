import type { NoteId } from "@/core/passage/note";
import type { LinePlaces } from "../engraving/places";

/** px from the middle of a note's head to the foot of the sign above it, and below it. */
const ABOVE = -8;
const BELOW = 19;

/** A question mark at each note that could as well be written otherwise, on the side where no stem is. */
export function DoubtMarks({ places, notes }: { readonly places: LinePlaces; readonly notes: ReadonlySet<NoteId> }) {
  return [...notes].map((note) => {
    const place = places.notes.get(note);
    return (
      place && (
        <text
          key={note}
          data-doubtful={note}
          x={place.x}
          y={place.y + (place.stemUp === false ? ABOVE : BELOW)}
          textAnchor="middle"
          className="font-serif text-[15px] font-semibold"
          fill="var(--brass)"
          stroke="var(--paper)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          ?
        </text>
      )
    );
  });
}
