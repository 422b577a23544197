import type { RuledOut } from "@/core/fingering/conditions";
import type { LeaningId } from "@/core/fingering/leanings";
import type { FingeringWishes } from "@/core/fingering/wishes";
import type { NoteId } from "@/core/passage/note";
import type { HandsTaken } from "@/core/passage/passage";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { StudyData } from "@/core/fingering/study-data";
import type { Finger, Side } from "@/core/hand/finger";
import type { HandMeasured } from "@/core/hand/measured";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Allowances } from "@/core/reach/allowances";

/** What pages are given: plain data, no rows and no connection. */

export interface OptionData {
  readonly id: string;
  readonly name: string;
  readonly origin: "solved" | "printed" | "typed";
  readonly leaning: LeaningId;
  /** Whose it is, where it came with a name. */
  readonly author: string | null;
  readonly version: number;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
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
  readonly rests: readonly RestData[];
  readonly allows: Allowances;
  readonly wishes: FingeringWishes;
  /** Notes that the other hand may take, where only marked ones may. */
  readonly marked: readonly NoteId[];
}

/** The answer of every action: done, or a sentence that says what is wrong. */
export type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** A change kept, or refused because the option has moved on since the page was shown. */
export type Kept = { readonly outcome: "kept" | "outdated"; readonly now: OptionData };

/** How a passage's hands are shared out, and its options worked out anew on it. */
export interface TakenKept {
  readonly taken: HandsTaken;
  readonly options: readonly OptionData[];
}

/** What is chosen for a passage's notes, and its options worked out anew on it. */
export interface RemediesKept {
  readonly remedies: NoteRemedies;
  readonly options: readonly OptionData[];
}

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
  /** mm of the instrument in use. */
  readonly octaveWidth: number;
  readonly passages: readonly {
    readonly id: string;
    readonly title: string;
    readonly fromBar: number;
    readonly toBar: number;
    readonly hands: "right" | "left" | "both";
  }[];
}

/** A dated measurement of one hand. */
export interface MeasurementData {
  readonly id: string;
  readonly side: Side;
  /** ISO date. */
  readonly measuredOn: string;
  readonly way: "typed" | "keys" | "midi";
  readonly measured: HandMeasured;
}

/** Fingers, or with all five a hand, that are resting now. Dates in ISO. */
export interface RestData {
  readonly id: string;
  readonly side: Side;
  readonly fingers: readonly Finger[];
  readonly reason: string;
  readonly since: string;
  readonly reviewOn: string;
}

export interface InstrumentData {
  readonly id: string | null;
  readonly name: string;
  readonly octaveWidth: number;
}

export interface HandsData {
  /** Newest first; none for a hand that was never measured. */
  readonly measurements: Readonly<Record<Side, readonly MeasurementData[]>>;
  readonly rests: readonly RestData[];
  /** The one in use first. */
  readonly instruments: readonly InstrumentData[];
  readonly allows: Allowances;
  /** ISO date of today where the server is. */
  readonly today: string;
}
