import { digitsOf } from "../../fingering/search/terms";
import type { Fingering } from "../../fingering/study/fingering";
import { tasksOf, type Study } from "../../fingering/study/study";
import { bothInFront, leapsTogether } from "./both-hands";
import { handPlanOf, type PlanFound } from "./hand-plan";
import { warningsOf, type Warning } from "../warnings";

/** How the hands get through a fingered passage and stay free, onset by onset. */
export interface Plan extends PlanFound {
  /** In the order of what they cost. */
  readonly warnings: readonly Warning[];
}

/**
 * The plan of a fingering at the study's tempo. Notes without a finger are left out of it; a passage without notes has an
 * empty plan. Time grows with the number of onsets.
 */
export function planOf(study: Study, fingering: Fingering): Plan {
  const hands = tasksOf(study).map((task) => handPlanOf(task, digitsOf(task.line, fingering)));
  const framesFor = (side: "right" | "left") => hands.find((h) => h.side === side)?.frames ?? [];
  const both = { right: framesFor("right"), left: framesFor("left") };
  const together = leapsTogether(both, study.instrument);
  const inFront = bothInFront(both, study.instrument);
  const { tempo } = study.manner;
  return { tempo, hands, together, inFront, warnings: warningsOf({ tempo, hands, together, inFront }) };
}
