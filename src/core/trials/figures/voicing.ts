import { meanOf } from "../statistics";
import type { TakeFigure } from "./figure";

/** By how much the tune is struck harder than the rest that sounds with it. */
export const voicing: TakeFigure = {
  id: "voicing",
  label: "Tune over the rest",
  unit: "velocity",
  find({ struck }) {
    const notes = struck.flatMap((onset) => onset.notes);
    const velocities = (isTune: boolean): number[] =>
      notes.flatMap(({ note, key }) => (note.tune === isTune ? [key.velocity] : []));
    const [tune, rest] = [velocities(true), velocities(false)];
    if (tune.length === 0 || rest.length === 0) return null;
    const beside = meanOf(rest);
    const places = notes.flatMap(({ note, key }) =>
      note.tune ? [{ note: note.id, amount: key.velocity - beside }] : [],
    );
    return { amount: meanOf(tune) - beside, places };
  },
};
