import type { Side } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import { positionsOf, type Position } from "./positions";
import { tasksOf, type Judged, type Study } from "../study/study";

/** A judged fingering taken apart by hand and by join. */
export interface Parts {
  /** Mean strain over the onsets of each hand that plays, right first: a chord is one moment. */
  readonly hands: readonly { readonly side: Side; readonly strain: number; readonly onsets: number }[];
  /** The positions, with the strain of the notes struck at the join that leads to each; 0 for the first of a hand. */
  readonly joins: readonly (Position & { readonly strain: number })[];
}

/** Mean strain hand by hand. The means of the hands, weighed by their onsets, come to the mean of the passage. */
export function partsOf(study: Study, judged: Judged): Parts {
  const tasks = tasksOf(study);
  const hands = tasks.map(({ line: { side, strokes, onsets } }) => {
    const sum = strokes.reduce((total, { notes }) => total + judged.notes[notes[0]!]!.strain, 0);
    return { side, strain: onsets.length === 0 ? 0 : sum / onsets.length, onsets: onsets.length };
  });
  const together = new Map<NoteId, readonly NoteId[]>();
  for (const { line } of tasks)
    for (const { struck } of line.onsets)
      for (const s of struck)
        together.set(
          s.notes[0]!,
          struck.map((o) => o.notes[0]!),
        );
  const joins = positionsOf(study, judged.fingering).map((position) => {
    const first = position.join ? (together.get(position.notes[0]!) ?? []) : [];
    return { ...position, strain: first.reduce((sum, id) => sum + judged.notes[id]!.strain, 0) };
  });
  return { hands, joins };
}
