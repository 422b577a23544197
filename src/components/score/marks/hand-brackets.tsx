import type { Note } from "@/core/passage/note";
import type { Redistribution } from "@/core/passage/passage";
import type { Side } from "@/core/hand/finger";
import type { LinePlaces } from "../engraving/places";

interface Run {
  readonly side: Side;
  readonly notes: readonly Note[];
}

/** px between the ink and a bracket, and the length of its ends. */
const CLEAR = 9;
const END = 5;

/** Brackets about the notes that one hand takes from the other, with the hand that takes them. */
export function HandBrackets({
  places,
  notes,
  taken,
}: {
  places: LinePlaces;
  notes: readonly Note[];
  taken: Redistribution;
}) {
  return runsOf(notes, taken).map((run) => {
    const spots = run.notes.flatMap((n) => places.notes.get(n.id) ?? []);
    if (spots.length === 0) return null;
    // On the side of the staff that its digits leave free.
    const below = run.notes[0]!.staff === 1;
    const y = below ? Math.max(...spots.map((s) => s.bottom)) + CLEAR : Math.min(...spots.map((s) => s.top)) - CLEAR;
    const [from, to] = [Math.min(...spots.map((s) => s.x)) - 9, Math.max(...spots.map((s) => s.x)) + 9];
    const end = below ? -END : END;
    return (
      <g key={run.notes[0]!.id} data-taken={run.side}>
        <path
          d={`M ${from} ${y + end} V ${y} H ${to} V ${y + end}`}
          fill="none"
          stroke="var(--velvet)"
          strokeWidth={1.4}
        />
        <text
          x={(from + to) / 2}
          y={below ? y + 11 : y - 4}
          textAnchor="middle"
          fontSize={11}
          fontFamily="var(--font-serif)"
          fontStyle="italic"
          fill="var(--velvet)"
          stroke="var(--paper)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {run.side}
        </text>
      </g>
    );
  });
}

/** Notes taken one after another by the same hand from the same staff. */
function runsOf(notes: readonly Note[], taken: Redistribution): readonly Run[] {
  const runs: { side: Side; notes: Note[]; last: number }[] = [];
  const onsets = [...new Set(notes.map((n) => `${n.onset} ${n.grace}`))];
  for (const note of notes) {
    const side = taken[note.id];
    if (side === undefined) continue;
    const at = onsets.indexOf(`${note.onset} ${note.grace}`);
    const open = runs.findLast((r) => r.side === side && r.notes[0]!.staff === note.staff);
    if (open && at - open.last <= 1) {
      open.notes.push(note);
      open.last = at;
    } else runs.push({ side, notes: [note], last: at });
  }
  return runs;
}
