import { WARNING_WEIGHT } from "../../physics";
import { bentWrist } from "./bent-wrist";
import { beyondReach } from "./beyond-reach";
import { clash } from "./clash";
import { dragged } from "./dragged";
import { elbow } from "./elbow";
import { frozen } from "./frozen";
import { inFront } from "./in-front";
import { jerk } from "./jerk";
import { keptOpen } from "./kept-open";
import { leaps } from "./leaps";
import { neighbourNear } from "./neighbour-near";
import { noWindow } from "./no-window";
import { onAndOn } from "./on-and-on";
import { rocking } from "./rocking";
import { short } from "./short";
import { sideways } from "./sideways";
import { thumbReaching } from "./thumb-reaching";
import type { PlanFound } from "../plan/hand-plan";
import type { Warning, WarningRule } from "./warning";

export type { Warning } from "./warning";

export const WARNINGS: readonly WarningRule[] = [
  beyondReach,
  short,
  rocking,
  noWindow,
  keptOpen,
  onAndOn,
  bentWrist,
  thumbReaching,
  clash,
  jerk,
  dragged,
  sideways,
  neighbourNear,
  elbow,
  inFront,
  leaps,
  frozen,
];

/**
 * The warnings of a plan, dearest first: of each kind and hand the worst, with the notes at which it comes again. What costs
 * less than WARNING_WEIGHT.least is not said.
 */
export function warningsOf(plan: PlanFound): readonly Warning[] {
  const byKind = new Map<string, Omit<Warning, "again">[]>();
  for (const { id, unit, find } of WARNINGS) {
    for (const found of find(plan)) {
      if (found.cost < WARNING_WEIGHT.least) continue;
      const kind = `${id} ${found.side}`;
      byKind.set(kind, [...(byKind.get(kind) ?? []), { ...found, id, unit }]);
    }
  }
  return [...byKind.values()]
    .map((all): Warning => {
      const [worst, ...again] = [...all].sort((a, b) => b.cost - a.cost);
      return { ...worst!, again: again.map(({ note, words, cost }) => ({ note, words, cost })) };
    })
    .sort((a, b) => b.cost - a.cost);
}
