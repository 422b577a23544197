import type { Side } from "../hand/finger";

/** Where tension is felt: a finger, or a part of the hand, the arm and the body. */
export const FELT_PLACES = [
  "1",
  "2",
  "3",
  "4",
  "5",
  "palm",
  "ball of the thumb",
  "wrist",
  "forearm",
  "elbow",
  "shoulder",
  "neck",
  "back",
] as const;
export type FeltPlace = (typeof FELT_PLACES)[number];

/** Places that are one for both sides. */
export const MIDDLE_PLACES: readonly FeltPlace[] = ["neck", "back"];

/** What comes next after a take, in the player's own choice. */
export const FELT_NEXT = ["again", "slower", "shorter", "another option", "stop"] as const;
export type FeltNext = (typeof FELT_NEXT)[number];

/** What was felt in a take, in the player's own words and never inferred. */
export interface Felt {
  readonly places: readonly { readonly place: FeltPlace; readonly side: Side | null }[];
  /** 0, nothing, to 10. */
  readonly amount: number;
  /** Bars as numbered on paper; null for the whole. */
  readonly bars: { readonly from: string; readonly to: string } | null;
  /** Whether the player is loose now; null where they did not say. */
  readonly loose: boolean | null;
  /** Whether it was easy, in the player's own word; null where they did not say. */
  readonly easy: boolean | null;
  readonly next: FeltNext | null;
}

/** Signs at which to stop: what is done about them is for a clinician, never for a program. */
export const HALT_SIGNS = [
  "pain",
  "numbness",
  "tingling",
  "swelling",
  "loss of control",
  "a finger that curls or lifts by itself",
] as const;
export type HaltSign = (typeof HALT_SIGNS)[number];
