import { HEARD } from "../../physics";
import { meanOf } from "../statistics";
import type { TakeFigure } from "./figure";

/** How hard each finger strikes: from the weakest to the strongest, and finger by finger. Only notes of one strength count. */
export const strength: TakeFigure = {
  id: "strength",
  label: "From the weakest finger to the strongest",
  unit: "velocity",
  find({ struck }) {
    const byFinger = new Map<string, number[]>();
    const places = struck.flatMap(({ notes }) =>
      notes.flatMap(({ note, key, finger }) => {
        if (finger === null) return [];
        const name = `${note.side} ${finger}`;
        byFinger.set(name, [...(byFinger.get(name) ?? []), key.velocity]);
        return [{ note: note.id, amount: key.velocity }];
      }),
    );
    const means = [...byFinger].filter(([, all]) => all.length >= HEARD.leastOfFinger);
    if (means.length < 2) return null;
    const parts = Object.fromEntries(means.sort().map(([name, all]) => [name, meanOf(all)]));
    const amounts = Object.values(parts);
    return { amount: Math.max(...amounts) - Math.min(...amounts), places, parts };
  },
};
