import { REMEDY_LOSS } from "../../physics";
import { isOnKeyboard } from "../../keyboard/pitch";
import { noteName } from "../../passage/note";
import type { Proposal, Remedy } from "../remedy";
import { givable, isBass, isTune } from "../voices";

/** A note moved by an octave towards the rest of the chord. Loses its place in the sound, tune or bass much more. */
export const fold: Remedy = {
  kind: "fold",
  label: "folded by an octave",
  propose(predicament, { omissions, tuneAndBass }) {
    if (!omissions) return [];
    const { down, other } = predicament;
    const taken = new Set<number>([...down, ...other].map((d) => d.key));
    return givable(predicament, tuneAndBass).flatMap((d): Proposal[] =>
      ([1, -1] as const).flatMap((octaves): Proposal[] => {
        const to = d.key + 12 * octaves;
        const within = to > down[0]!.key - 12 && to < down.at(-1)!.key + 12;
        if (!isOnKeyboard(to) || taken.has(to) || !within) return [];
        const outer = isTune(d, predicament) || isBass(d, predicament);
        return [
          {
            kind: "fold",
            notes: { [d.note.id]: { kind: "fold", octaves } },
            loss: outer ? REMEDY_LOSS.foldOuter : REMEDY_LOSS.fold,
            words: `Play ${noteName(d.note)} an octave ${octaves > 0 ? "higher" : "lower"}.`,
          },
        ];
      }),
    );
  },
};
