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
import { rocking } from "./rocking";
import { short } from "./short";
import { sideways } from "./sideways";
import type { PlanFound } from "../plan/hand-plan";
import type { Warning, WarningRule } from "./warning";

export type { Warning } from "./warning";

export const WARNINGS: readonly WarningRule[] = [
  beyondReach,
  short,
  rocking,
  noWindow,
  keptOpen,
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

/** Every warning of a plan, dearest first. */
export function warningsOf(plan: PlanFound): readonly Warning[] {
  return WARNINGS.flatMap((rule) =>
    rule.find(plan).map((found): Warning => ({ ...found, id: rule.id, unit: rule.unit })),
  ).sort((a, b) => b.cost - a.cost);
}
