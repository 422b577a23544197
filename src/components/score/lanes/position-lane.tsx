import type { Position } from "@/core/fingering/explain/positions";
import type { Side } from "@/core/hand/finger";
import type { LinePlaces } from "../engraving/places";
import { JoinSign } from "../marks/join-sign";

const HEIGHT = 13;
/** px by which a position's line goes past its outer notes. */
const PAST = 7;

/** Under the line, for each hand, the runs of notes that lie under one placed hand, each with how it is reached. */
export function PositionLanes({ places, positions }: { places: LinePlaces; positions: readonly Position[] }) {
  const sides = (["right", "left"] as const).filter((side) => positions.some((p) => p.side === side));
  return sides.map((side) => (
    <Lane key={side} {...{ places, side }} positions={positions.filter((p) => p.side === side)} />
  ));
}

function Lane({ places, side, positions }: { places: LinePlaces; side: Side; positions: readonly Position[] }) {
  const shown = positions.flatMap(({ notes, join }) => {
    const xs = notes.flatMap((id) => places.notes.get(id)?.x ?? []);
    if (xs.length === 0) return [];
    // The sign stands where the position begins, so only on the line that has its first note.
    const begins = places.notes.has(notes[0]!);
    return [{ key: notes[0]!, from: Math.min(...xs), to: Math.max(...xs), join: begins ? join : null }];
  });
  if (shown.length === 0) return null;
  return (
    <svg
      width={places.width}
      height={HEIGHT}
      className="block overflow-visible"
      role="img"
      aria-label={`Positions of the ${side} hand`}
    >
      {shown.map(({ key, from, to, join }) => (
        <g key={key}>
          <path
            d={`M ${from - PAST} ${HEIGHT - 7} v 4 H ${to + PAST} v -4`}
            fill="none"
            stroke="var(--ink-soft)"
            strokeWidth={1}
          />
          {join && (
            <g transform={`translate(${from - PAST - 1} 5)`}>
              <title>{`${join.kind}, ${Math.round(join.mm)} mm in ${Math.round(join.ms)} ms`}</title>
              <JoinSign kind={join.kind} />
            </g>
          )}
        </g>
      ))}
    </svg>
  );
}
