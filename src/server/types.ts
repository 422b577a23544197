import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { StudyData } from "@/core/fingering/study-data";

/** What pages are given: plain data, no rows and no connection. */

export interface OptionData {
  readonly id: string;
  readonly name: string;
  readonly origin: "solved" | "printed" | "typed";
  readonly version: number;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly undoable: number;
  readonly redoable: number;
}

export interface VerdictData {
  readonly kind: "taken" | "reopened";
  readonly fingeringId: string | null;
  readonly reason: string;
  readonly author: string;
  /** ISO date and time. */
  readonly at: string;
}

export interface PassageData {
  readonly id: string;
  readonly title: string;
  readonly piece: { readonly id: string; readonly title: string };
  /** As numbered on paper. */
  readonly bars: { readonly from: string; readonly to: string };
  readonly study: StudyData;
  /** MusicXML of just these bars, for the engraver. */
  readonly music: string;
  readonly options: readonly OptionData[];
  readonly verdicts: readonly VerdictData[];
  readonly recital: { readonly title: string; readonly heldOn: string } | null;
}

/** The answer of every action: done, or a sentence that says what is wrong. */
export type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** A change kept, or refused because the option has moved on since the page was shown. */
export type Kept = { readonly outcome: "kept" | "outdated"; readonly now: OptionData };
