import { meanOf } from "../statistics";
import type { TakeFigure } from "./figure";

/** ms from the first key of a chord to its last. */
export const chordSpread: TakeFigure = {
  id: "chord-spread",
  label: "Spread of chords",
  unit: "ms",
  find({ struck }) {
    const chords = struck.flatMap(({ expected, notes }) => {
      if (notes.length < 2) return [];
      const downs = notes.map(({ key }) => key.downMs);
      return [{ note: expected.notes[0]!.id, amount: Math.max(...downs) - Math.min(...downs) }];
    });
    return chords.length === 0 ? null : { amount: meanOf(chords.map(({ amount }) => amount)), places: chords };
  },
};
