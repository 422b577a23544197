import type { NoteId } from "@/core/passage/note";
import type { LinePlaces } from "../engraving/places";

/** px of the band beyond the ink of the notes, so that it holds their digits. */
const BEYOND = 24;

/** A pale band behind the notes of a chosen stretch, from its first to its last on this line. */
export function StretchBand({ places, stretch }: { places: LinePlaces; stretch: ReadonlySet<NoteId> }) {
  const spots = [...stretch].flatMap((id) => places.notes.get(id) ?? []);
  const xs = spots.map((s) => s.x);
  if (xs.length === 0) return null;
  const [from, to] = [Math.min(...xs) - 12, Math.max(...xs) + 12];
  const top = Math.min(...spots.map((s) => s.top)) - BEYOND;
  const bottom = Math.max(...spots.map((s) => s.bottom)) + BEYOND;
  return (
    <g data-stretch>
      <rect x={from} y={top} width={to - from} height={bottom - top} fill="var(--velvet)" opacity={0.07} />
      <path d={`M ${from} ${top} V ${bottom} M ${to} ${top} V ${bottom}`} stroke="var(--velvet)" strokeWidth={1} />
    </g>
  );
}
