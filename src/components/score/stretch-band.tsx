import type { NoteId } from "@/core/passage/note";
import type { LinePlaces } from "./places";

/** A pale band behind the notes of a chosen stretch, from its first to its last on this line. */
export function StretchBand({ places, stretch }: { places: LinePlaces; stretch: ReadonlySet<NoteId> }) {
  const xs = [...stretch].flatMap((id) => places.notes.get(id)?.x ?? []);
  if (xs.length === 0) return null;
  const [from, to] = [Math.min(...xs) - 12, Math.max(...xs) + 12];
  const top = Math.min(...places.staves.map((s) => s.top)) - 34;
  const bottom = Math.max(...places.staves.map((s) => s.bottom)) + 34;
  return (
    <g data-stretch>
      <rect x={from} y={top} width={to - from} height={bottom - top} fill="var(--velvet)" opacity={0.07} />
      <path d={`M ${from} ${top} V ${bottom} M ${to} ${top} V ${bottom}`} stroke="var(--velvet)" strokeWidth={1} />
    </g>
  );
}
