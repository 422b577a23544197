import type { NoteId } from "../../passage/note";
import type { HandPlan, PlanFound } from "../plan/hand-plan";

/** Something in the plan that the player should know of: always with a place, a figure, and what to change. */
export interface Warning {
  readonly id: string;
  readonly side: HandPlan["side"] | "both";
  readonly note: NoteId;
  readonly amount: number;
  readonly unit: string;
  /** What is found, with its figure. */
  readonly words: string;
  /** What to change. */
  readonly change: string;
  /** What it costs on the scale of strain, 0 to 100 and beyond: the order in which warnings are shown. */
  readonly cost: number;
  /** Where the same is found again in the same hand, dearest first. */
  readonly again: readonly { readonly note: NoteId; readonly words: string; readonly cost: number }[];
}

/** One kind of warning. Each is a file in warnings/. */
export interface WarningRule {
  readonly id: string;
  readonly unit: string;
  find(plan: PlanFound): readonly Omit<Warning, "id" | "unit" | "again">[];
}

/** A rule that looks at each hand by itself. */
export function eachHand(
  id: string,
  unit: string,
  find: (hand: HandPlan, tempo: number) => readonly Omit<Warning, "id" | "unit" | "side" | "again">[],
): WarningRule {
  return {
    id,
    unit,
    find: ({ hands, tempo }) =>
      hands.flatMap((hand) => find(hand, tempo).map((found) => ({ ...found, side: hand.side }))),
  };
}

/** A figure as a whole number. */
export const whole = (amount: number): string => String(Math.round(amount));
