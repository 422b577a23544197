import type { Position } from "@/core/fingering/explain/positions";
import type { Note, NoteId } from "@/core/passage/note";
import { JoinSign } from "../score/marks/join-sign";
import { PlaceButton } from "./place-button";

interface Props {
  readonly positions: readonly Position[];
  readonly notes: readonly Note[];
  readonly onGo: (note: NoteId) => void;
}

/** The joins between placed positions, with the way and the time for it. */
export function PositionsList({ positions, notes, onGo }: Props) {
  const joins = positions.filter((p) => p.join !== null);
  const placed = `${positions.length} ${positions.length === 1 ? "position" : "positions"}`;
  return (
    <div>
      <p className="text-soft">
        {joins.length === 0 ? `${placed}: the hand stays where it is placed.` : `${placed}. Where they join:`}
      </p>
      <ul>
        {joins.map(({ side, notes: held, join }) => (
          <li
            key={held[0]}
            className="grid grid-cols-[1.4rem_1fr_auto] items-baseline gap-x-2 border-t border-hairline py-1"
          >
            <svg width={18} height={12} viewBox="-9 -8 18 12" aria-hidden>
              <JoinSign kind={join!.kind} />
            </svg>
            <span>
              <PlaceButton notes={notes} note={held[0]!} onGo={onGo} />
              <span className="block text-soft">
                {join!.kind}, {side} hand
              </span>
            </span>
            <span className="text-right">
              {Math.round(join!.mm)} mm
              <span className="block text-soft">in {Math.round(join!.ms)} ms</span>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
