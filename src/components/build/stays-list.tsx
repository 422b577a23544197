import type { Fingering } from "@/core/fingering/study/fingering";
import type { Stay } from "@/core/fingering/search/conditions";
import { noteName, type Note, type NoteId } from "@/core/passage/note";
import { PlaceButton } from "./place-button";

interface Props {
  readonly stays: readonly Stay[];
  readonly notes: readonly Note[];
  readonly fingering: Fingering;
  readonly onGo: (note: NoteId) => void;
}

/** How many are told at once, first to last. */
const SHOWN_AT_ONCE = 4;

/** Where the hand stays: from where to where, and which fingers its keys have. */
export function StaysList({ stays, ...given }: Props) {
  const [first, more] = [stays.slice(0, SHOWN_AT_ONCE), stays.slice(SHOWN_AT_ONCE)];
  return (
    <section aria-label="Where the hand stays" className="border-t border-hairline pt-1">
      <h4>Where the hand stays, and with which fingers</h4>
      <Stays stays={first} {...given} />
      {more.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 pl-3 text-soft">{more.length} more</summary>
          <Stays stays={more} {...given} />
        </details>
      )}
    </section>
  );
}

function Stays({ stays, notes, fingering, onGo }: Props) {
  const byId = new Map(notes.map((note) => [note.id, note]));
  const place = new Map(notes.map(({ id }, i) => [id, i]));
  return (
    <ul>
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
    </ul>
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
