import type { Side } from "../../hand/finger";
import { medianOf } from "../statistics";
import type { Heard, NoteHeard } from "../heard";
import type { TakeFigure } from "./figure";

/** ms for which bound notes sound on into the next; a gap is negative. Only where the passage binds them. */
export const overlap: TakeFigure = {
  id: "overlap",
  label: "Overlap of bound notes",
  unit: "ms",
  find(heard) {
    const found = (["right", "left"] as const).flatMap((side) => boundIn(heard, side));
    if (found.length === 0) return null;
    return { amount: medianOf(found.map(({ amount }) => amount)), places: found };
  },
};

function boundIn({ struck, study }: Heard, side: Side): { note: NoteHeard["note"]["id"]; amount: number }[] {
  if (study.manner.touch !== "legato") return [];
  const line = struck.flatMap(({ expected, ms, notes }) => {
    const own = notes.filter(({ note }) => note.side === side);
    return own.length === 1 ? [{ at: expected.at, ms, one: own[0]! }] : [];
  });
  return line.slice(1).flatMap(({ at, ms }, i) => {
    const { at: from, one } = line[i]!;
    const isBound = Math.abs(from + one.note.length - at) < 1e-6;
    return isBound && one.key.upMs !== null ? [{ note: one.note.id, amount: one.key.upMs - ms }] : [];
  });
}
