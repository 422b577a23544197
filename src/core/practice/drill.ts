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
}

/** One kind of drill. Each is a file in drills/. */
export interface DrillKind {
  readonly id: string;
  readonly name: string;
  /** Causes of strain, by their ids, that it is against; joins and runs by their own names. */
  readonly against: readonly string[];
  /** All drills of the kind that one hand of a passage gives; none where it gives none. */
  make(source: Source): readonly Drill[];
}

/** What every drill is stopped by besides its own end. */
export const STOP_ALWAYS = "at once where it hurts, tingles or hardens";
