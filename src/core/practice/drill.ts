import type { DrillMusic } from "./music";
import type { Source } from "./source";

/** A drill: made out of the passage itself, with what it is for and when it is over. */
export interface Drill {
  /** Its kind and its place, so that it is known again. */
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  /** What of the passage it attacks, in words. */
  readonly attacks: string;
  /** How to know that it has done its work. */
  readonly done: string;
  /** When to stop doing it. */
  readonly stop: string;
  /** Onsets of the source that it is about, both ends included. */
  readonly about: { readonly from: number; readonly to: number };
  readonly music: DrillMusic;
  /** Whether its music is to be imagined: it stands under a cover until it is asked for. */
  readonly isImagined?: boolean;
}

/** One kind of drill. Each is a file in drills/. */
export interface DrillKind {
  readonly id: string;
  readonly name: string;
  /** Causes of strain, by their ids, that it is against; none where it is asked for by hand or by the day. */
  readonly against: readonly string[];
  /** Whether it is played slowly to calculate, or quickly to find the movement. */
  readonly pace: "slow" | "quick";
  /** All drills of the kind that one hand of a passage gives; none where it gives none. */
  make(source: Source): readonly Drill[];
}

/** What every drill is stopped by besides its own end. */
export const STOP_ALWAYS = "at once where it hurts, tingles or hardens";
