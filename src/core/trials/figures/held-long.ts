import { HEARD } from "../../physics";
import { meanOf } from "../statistics";
import type { TakeFigure } from "./figure";

/** Keys kept down well beyond their notes, most often by a thumb or an index that forgets to let go: ms, and by finger. */
export const heldLong: TakeFigure = {
  id: "held-long",
  label: "Held too long",
  unit: "ms",
  find({ struck, read, run }) {
    const quarterMs = run?.keys.map((j) => read.quarterMs[j]!) ?? [];
    const quarter = meanOf(quarterMs);
    const found = struck.flatMap(({ notes }) =>
      notes.flatMap(({ note, key, finger }) => {
        const beyond = (key.upMs ?? key.downMs) - key.downMs - note.length * quarter;
        return beyond > HEARD.heldLong ? [{ note: note.id, amount: beyond, finger }] : [];
      }),
    );
    if (struck.length === 0) return null;
    const parts: Record<string, number> = {};
    for (const { finger, amount } of found) if (finger !== null) parts[finger] = Math.max(parts[finger] ?? 0, amount);
    return { amount: Math.max(0, ...found.map(({ amount }) => amount)), places: found, parts };
  },
};
