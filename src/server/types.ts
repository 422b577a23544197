import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { StudyData } from "@/core/fingering/study-data";
import type { Side } from "@/core/hand/finger";

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

export interface PieceData {
  readonly id: string;
  readonly title: string;
  readonly fileName: string | null;
  readonly staves: number;
  readonly tempo: number | null;
  /** Numbers on paper, in order. */
  readonly bars: readonly string[];
  readonly music: string;
  /** The first bars alone, quickly engraved. */
  readonly beginning: string;
  readonly remarks: readonly string[];
  readonly passages: readonly {
    readonly id: string;
    readonly title: string;
    readonly fromBar: number;
    readonly toBar: number;
    readonly hands: "right" | "left" | "both";
  }[];
}

export interface HandData {
  readonly side: Side;
  /** mm on a ruler. */
  readonly rulerSpan: number;
  /** Newest first; empty when the hand was never measured. */
  readonly measured: readonly { readonly measuredOn: string; readonly rulerSpan: number }[];
}

export interface HandsData {
  readonly hands: Readonly<Record<Side, HandData>>;
  readonly instrument: { readonly name: string; readonly octaveWidth: number };
}
