import { REMEDY_LOSS } from "../../physics";
import { noteName } from "../../passage/note";
import { subtract } from "../../time/beats";
import type { Remedy } from "../remedy";

/** A held note let go when the hand is wanted elsewhere; the pedal sounds it on. Loses the finger's own legato. */
export const shorter: Remedy = {
  kind: "shorter",
  label: "hold shorter, with pedal",
  propose: ({ down, onset }, { pedal }) =>
    !pedal
      ? []
      : down
          .filter((d) => !d.struck)
          .map(({ note }) => ({
            kind: "shorter",
            notes: { [note.id]: { kind: "shorter", duration: subtract(onset.at, note.onset) } },
            loss: REMEDY_LOSS.shorter,
            words: `Let ${noteName(note)} go here and let the pedal sound it on.`,
          })),
};
