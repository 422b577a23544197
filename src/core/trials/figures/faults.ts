import type { KeyRead } from "../alignment/read-take";
import type { Heard } from "../heard";
import type { PlaceFound, TakeFigure } from "./figure";

/** Keys of the take of one kind, each at the note that it is, or beside which it lies. */
function keysOf(id: string, label: string, kind: KeyRead["kind"]): TakeFigure {
  return {
    id,
    label,
    unit: "notes",
    find({ read, onsets }) {
      const places = read.read.flatMap((one): PlaceFound[] => {
        if (one.kind !== kind) return [];
        const note = "note" in one ? one.note : onsets[one.onset]?.notes[0];
        return note ? [{ note: note.id, amount: 1 }] : [];
      });
      return { amount: places.length, places };
    },
  };
}

export const wrong = keysOf("wrong", "Wrong keys", "wrong");
export const added = keysOf("added", "Keys too many", "added");
export const twice = keysOf("twice", "Struck twice", "twice");
export const neighbours = keysOf("neighbours", "Neighbours caught", "neighbour");

/** Notes that no run played though one went past them, or that lie between runs. */
export const missed: TakeFigure = {
  id: "missed",
  label: "Notes missed",
  unit: "notes",
  find(heard) {
    const places = missedIn(heard).map((note) => ({ note, amount: 1 }));
    return { amount: places.length, places };
  },
};

function missedIn({ read, onsets }: Heard): PlaceFound["note"][] {
  if (read.runs.length === 0) return [];
  const played = new Set(read.read.flatMap((one) => ("note" in one ? [one.note.id] : [])));
  const from = Math.min(...read.runs.map((run) => run.from));
  const to = Math.max(...read.runs.map((run) => run.to));
  const inside = onsets.slice(from, to + 1).flatMap(({ notes }) => notes.map(({ id }) => id));
  return inside.filter((id) => !played.has(id));
}
