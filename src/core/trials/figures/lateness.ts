import type { OnsetHeard } from "../heard";
import { meanOf } from "../statistics";
import type { TakeFigure } from "./figure";

/** How late the hand comes to its new positions, against how late it is inside them. */
export const lateness: TakeFigure = {
  id: "lateness",
  label: "Late at joins",
  unit: "ms",
  find({ struck }) {
    const timed = struck.filter(({ late, isFree }) => late !== null && !isFree);
    const [joins, inside] = [timed.filter(({ isJoin }) => isJoin), timed.filter(({ isJoin }) => !isJoin)];
    if (joins.length === 0 || inside.length === 0) return null;
    const late = (some: readonly OnsetHeard[]): number => meanOf(some.map((one) => one.late!));
    return {
      amount: late(joins) - late(inside),
      places: joins.map((one) => ({ note: one.expected.notes[0]!.id, amount: one.late! })),
    };
  },
};
