import type { Fingering } from "@/core/fingering/study/fingering";
import type { Stay } from "@/core/fingering/search/conditions";
import { noteName, type Note, type NoteId } from "@/core/passage/note";
import { FoldedList } from "./folded-list";
import { PlaceButton } from "./place-button";

interface Props {
  readonly stays: readonly Stay[];
  readonly notes: readonly Note[];
  readonly fingering: Fingering;
  readonly onGo: (note: NoteId) => void;
}

/** Where the hand stays: from where to where, and which fingers its keys have. */
export function StaysList({ stays, notes, fingering, onGo }: Props) {
  const byId = new Map(notes.map((note) => [note.id, note]));
  const place = new Map(notes.map(({ id }, i) => [id, i]));
  return (
    <FoldedList name="Where the hand stays" title="Where the hand stays, and with which fingers">
      {stays.map(({ keys }) => {
        const all = keys.flat().toSorted((a, b) => (place.get(a) ?? 0) - (place.get(b) ?? 0));
        const [first, last] = [all[0]!, all.at(-1)!];
        return (
          <li key={first} className="pl-3">
            <PlaceButton notes={notes} note={first} onGo={onGo} /> to{" "}
            <PlaceButton notes={notes} note={last} onGo={onGo} />
            <span className="block text-soft">{keysText(keys, byId, fingering)}</span>
          </li>
        );
      })}
    </FoldedList>
  );
}

/** "C 3 with 5, E 3 with 3 and 2, G 3 with 1", lowest first. */
function keysText(keys: Stay["keys"], byId: ReadonlyMap<NoteId, Note>, fingering: Fingering): string {
  return keys
    .flatMap((ids) => {
      const note = byId.get(ids[0]!);
      const fingers = [...new Set(ids.map((id) => fingering[id] ?? "no finger"))];
      return note ? [{ note, text: `${noteName(note)} with ${fingers.join(" and ")}` }] : [];
    })
    .sort((a, b) => a.note.pitch - b.note.pitch)
    .map(({ text }) => text)
    .join(", ");
}
