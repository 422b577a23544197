import type { WayBack } from "@/core/figures/ways-back";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Note, NoteId } from "@/core/passage/note";
import { FoldedList } from "./folded-list";
import { PlaceButton } from "./place-button";

interface Props {
  readonly ways: readonly WayBack[];
  readonly notes: readonly Note[];
  readonly fingering: Fingering;
  readonly onGo: (note: NoteId) => void;
}

/** Where a line goes there and back over the same keys, and how many of these keep their finger. */
export function WaysBackList({ ways, notes, fingering, onGo }: Props) {
  return (
    <FoldedList name="There and back" title="There and back over the same keys">
      {ways.map(({ pairs }) => {
        const { there, back } = pairs.at(-1)!;
        const kept = pairs.filter((pair) => {
          const finger = fingering[pair.there];
          return finger !== undefined && finger !== null && finger === fingering[pair.back];
        }).length;
        return (
          <li key={there} className="pl-3">
            <PlaceButton notes={notes} note={there} onGo={onGo} /> to{" "}
            <PlaceButton notes={notes} note={back} onGo={onGo} />
            <span className="block text-soft">
              {kept === pairs.length
                ? "every key keeps its finger"
                : `${kept} of ${pairs.length} keys keep their finger`}
            </span>
          </li>
        );
      })}
    </FoldedList>
  );
}
