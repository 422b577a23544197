/** How a player likes to practise; see the schools in docs/practice.md. */
export interface School {
  /** Daily exercises and scales, or only what is made out of the passage. */
  readonly basis: "exercises" | "passage";
  /** Slow first and raised slowly, or short snips at speed early. */
  readonly movement: "slow" | "snips";
}

export const USUAL_SCHOOL: School = { basis: "passage", movement: "slow" };
