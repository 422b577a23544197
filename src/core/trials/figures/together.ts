import type { Side } from "../../hand/finger";
import { meanOf } from "../statistics";
import type { Heard } from "../heard";
import type { TakeFigure } from "./figure";

/** How late onsets come at which both hands leap at once, apart from all other joins. */
export const together: TakeFigure = {
  id: "together",
  label: "Late where both hands leap",
  unit: "ms",
  find(heard) {
    const leaps = (["right", "left"] as const).map((side) => leapsOf(heard, side));
    const both = heard.struck.filter(
      ({ expected, late }) => late !== null && leaps.every((own) => own.has(expected.index)),
    );
    if (both.length === 0) return null;
    const places = both.map(({ expected, late }) => ({ note: expected.notes[0]!.id, amount: late! }));
    return { amount: meanOf(places.map(({ amount }) => amount)), places };
  },
};

/** Places of onsets that a hand leaps to. */
function leapsOf({ positions, onsets }: Heard, side: Side): ReadonlySet<number> {
  const firsts = new Set(
    positions.flatMap((p) => (p.side === side && p.join?.kind === "leap" ? p.notes.slice(0, 1) : [])),
  );
  const places = onsets.flatMap(({ index, notes }) =>
    notes.some((n) => n.notes.some((id) => firsts.has(id))) ? [index] : [],
  );
  return new Set(places);
}
