import type { MarkHeard } from "@/core/trials/report";
import type { LinePlaces } from "../engraving/places";

/** px from a note's head to what lies beside it, and of a semitone up or down. */
const BESIDE = 11;
const SEMITONE = 3.2;
/** Semitones that are shown at most: what lies farther is shown as far as this. */
const FARTHEST = 9;

/**
 * What went astray in a take, told by shape and place: a broken ring about a note that is missed; beside the head, as far up
 * or down as it lies off, a cross for a key in its place, a wedge for a neighbour caught, a plus for a key too many; two dots
 * for one that is struck twice.
 */
export function TakeMarks({ places, marks }: { readonly places: LinePlaces; readonly marks: readonly MarkHeard[] }) {
  return marks.map(({ note, kind, semitones }, i) => {
    const place = places.notes.get(note);
    if (!place) return null;
    const off = Math.max(-FARTHEST, Math.min(FARTHEST, semitones)) * SEMITONE;
    const at = kind === "missed" ? { x: place.x, y: place.y } : { x: place.x + BESIDE, y: place.y - off };
    return (
      <g
        key={`${note} ${i}`}
        data-astray={kind}
        transform={`translate(${at.x} ${at.y})`}
        fill="none"
        stroke="var(--vermilion)"
        strokeWidth={1.7}
      >
        <title>{SAID[kind]}</title>
        {SHAPES[kind](semitones)}
      </g>
    );
  });
}

const SAID: Readonly<Record<MarkHeard["kind"], string>> = {
  missed: "missed",
  wrong: "another key in its place",
  neighbour: "a neighbour caught",
  twice: "struck twice",
  added: "a key too many",
};

const SHAPES: Readonly<Record<MarkHeard["kind"], (semitones: number) => React.ReactNode>> = {
  missed: () => <ellipse rx={9.5} ry={8.5} strokeDasharray="3 2.4" />,
  wrong: () => <path d="M -3.5 -3.5 L 3.5 3.5 M -3.5 3.5 L 3.5 -3.5" />,
  neighbour: (semitones) => (semitones < 0 ? <path d="M -4 -3 L 0 3 L 4 -3 Z" /> : <path d="M -4 3 L 0 -3 L 4 3 Z" />),
  twice: () => (
    <g fill="var(--vermilion)" stroke="none">
      <circle cx={0} r={1.9} />
      <circle cx={5.4} r={1.9} />
    </g>
  ),
  added: () => <path d="M -4 0 H 4 M 0 -4 V 4" />,
};
