import { COMFORT, PLACEMENT } from "../physics";
import type { Placement } from "./placement";

/** How a placement feels, in four steps. */
export type Grade = "relaxed" | "working" | "strained" | "out-of-reach";

export const GRADES: readonly Grade[] = ["relaxed", "working", "strained", "out-of-reach"];

/** Strain up to which a placement counts as relaxed: a flat hand or a leaning one, open no farther than relaxed. A choice. */
const RELAXED = Math.max(PLACEMENT.shapeStrain.flat, PLACEMENT.tiltStrain);

/** relaxed, working up to the comfortable limit, strained up to the widest, or out of reach. */
export function gradeOf(placement: Placement): Grade {
  return placement.kind === "held" ? gradeOfStrain(placement.strain) : "out-of-reach";
}

/** The grade of a strain from 0 on: relaxed, working to the comfortable limit, strained beyond it. */
export function gradeOfStrain(strain: number): Grade {
  if (strain <= RELAXED) return "relaxed";
  return strain <= COMFORT ? "working" : "strained";
}
