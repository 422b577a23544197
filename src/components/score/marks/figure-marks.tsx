import type { Figure } from "@/core/figures/figure";
import type { NoteId } from "@/core/passage/note";
import type { Side } from "@/core/hand/finger";
import { Letter } from "../../ui/letter";
import type { LinePlaces } from "../engraving/places";

/** A figure as it is drawn: each place at which it comes, under one letter. */
export interface FigureMark {
  readonly letter: string;
  readonly side: Side;
  readonly places: readonly { readonly notes: readonly NoteId[]; readonly tied: boolean }[];
}

/** Figures with their returns as marks, a, b, c in their order; tied returns are told apart. */
export function figureMarks(
  figures: readonly Figure[],
  isTied: (figure: Figure, place: number) => boolean,
): readonly FigureMark[] {
  return figures.map((figure, i) => ({
    letter: String.fromCharCode(97 + (i % 26)),
    side: figure.side,
    places: [figure, ...figure.returns].map(({ notes }, place) => ({
      notes,
      tied: place === 0 ? figure.returns.some((_, r) => isTied(figure, r)) : isTied(figure, place - 1),
    })),
  }));
}

/** px of the short ends of a mark, and from the edge of the line. */
const END = 5;
const EDGE = 4;

/**
 * Over the line for the right hand and under it for the left, a bracket about each place at which a figure comes, with
 * its letter: unbroken where its fingers are tied, dotted where they are free.
 */
export function FigureMarks({ places, marks }: { places: LinePlaces; marks: readonly FigureMark[] }) {
  return marks.flatMap(({ letter, side, places: comes }) =>
    comes.map(({ notes, tied }, i) => {
      const xs = notes.flatMap((id) => places.notes.get(id)?.x ?? []);
      if (xs.length === 0) return null;
      const [from, to] = [Math.min(...xs) - 6, Math.max(...xs) + 6];
      const isOver = side === "right";
      const y = isOver ? EDGE + 8 : places.height - EDGE;
      const end = isOver ? END : -END;
      return (
        <g key={`${letter} ${i}`} data-figure={letter} data-tied={tied}>
          <path
            d={`M ${from} ${y + end} V ${y} H ${to} V ${y + end}`}
            fill="none"
            stroke="var(--ink-soft)"
            strokeWidth={1.1}
            strokeDasharray={tied ? undefined : "1.5 3"}
          />
          <Letter x={from + 8} y={y + 4} size={13}>
            {`${letter}${"′".repeat(Math.min(i, 3))}`}
          </Letter>
        </g>
      );
    }),
  );
}
