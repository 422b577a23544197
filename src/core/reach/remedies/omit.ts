import { REMEDY_LOSS } from "../../physics";
import { noteName } from "../../passage/note";
import type { Remedy } from "../remedy";
import { givable, isBass, isDoubled, isTune } from "../voices";

/** A note left out. A doubled one loses fullness, an inner one harmony, tune or bass the music. */
export const omit: Remedy = {
  kind: "omit",
  label: "left out",
  propose: (predicament, { omissions, tuneAndBass }) =>
    !omissions || predicament.down.length < 2
      ? []
      : givable(predicament, tuneAndBass).map((d) => {
          const outer = isTune(d, predicament) ? "the tune" : isBass(d, predicament) ? "the bass" : null;
          const doubled = isDoubled(d, predicament);
          return {
            kind: "omit",
            notes: { [d.note.id]: { kind: "omit" } },
            loss: outer ? REMEDY_LOSS.omitOuter : doubled ? REMEDY_LOSS.omitDoubled : REMEDY_LOSS.omit,
            words: `Leave out ${noteName(d.note)}, ${outer ?? (doubled ? "which sounds in another octave" : "an inner note")}.`,
          };
        }),
};
