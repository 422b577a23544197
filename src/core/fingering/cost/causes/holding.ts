import { COMFORT } from "../../../hand/limits";
import type { Cause } from "../cause";
import { fingers, mm } from "../words";

/** Several keys held down together: what the easiest placement of the hand on them costs. */
export const holding: Cause = {
  id: "holding",
  label: "keys held together",
  unit: "mm",
  frames: 2,
  source: "Strain of the easiest placement (placement/solve); its shares up to comfort and beyond it are a choice.",
  find({ now, placements, weights }, tell) {
    const { struck, held } = now;
    const first = struck[0];
    if (first === undefined || struck.length + held.length < 2) return;
    const found = placements.look(struck, held);
    const strain =
      found.kind === "held" ? found.strain : weights.outOfReach + weights.outOfReachPerMm * (found.short?.mm ?? 0);
    const weighed = weights.holding * Math.min(strain, COMFORT) + weights.holdingBeyond * Math.max(0, strain - COMFORT);
    if (weighed === 0) return;
    const pair = found.kind === "held" ? found.nearest!.pair : found.short?.pair;
    const amount = found.kind === "held" ? found.nearest!.room : -(found.short?.mm ?? 0);
    const find = (finger: number | undefined) =>
      struck.find((p) => p.finger === finger) ?? held.find((p) => p.finger === finger) ?? null;
    for (const at of struck) tell(at.stroke, amount, weighed, find(pair?.[1]) ?? at, find(pair?.[0]));
  },
  say: ({ amount, finger, other }) =>
    amount >= 0
      ? `${fingers(other, finger)} could open ${mm(amount)} more`
      : `${fingers(other, finger)} are ${mm(-amount)} short of holding this`,
};
