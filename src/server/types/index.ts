import type { Choices } from "@/core/transcription/choices";
import type { Doubt, Guessed } from "@/core/transcription/transcript";
import type { RuledOut } from "@/core/fingering/search/conditions";
import type { LeaningId } from "@/core/options/leanings";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Day } from "@/core/time/days";
import type { Entry } from "@/core/entry/entry";
import type { Standing, VerdictEvent } from "@/core/verdict/standing";
import type { Note, NoteId } from "@/core/passage/note";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { StudyData } from "@/core/fingering/study/study-data";
import type { Finger, Side } from "@/core/hand/finger";
import type { HandMeasured } from "@/core/hand/measured";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Allowances } from "@/core/reach/allowances";
import type { CleanRule } from "@/core/trials/clean";
import type { OwnFigures } from "@/core/hand/own";
import type { BelongingKind } from "../belongings/kinds";

import type { HaltData } from "./trials";

export type * from "./practice";
export type * from "./trials";

/** What pages are given: plain data, no rows and no connection. */

export interface OptionData {
  readonly id: string;
  /** The letter it goes by. */
  readonly name: string;
  /** What the player calls it, where they do. */
  readonly title: string | null;
  readonly origin: "solved" | "printed" | "typed";
  readonly leaning: LeaningId;
  /** Whose it is, where it came with a name. */
  readonly author: string | null;
  readonly version: number;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
  /** Its digits when it was made. */
  readonly first: Fingering;
  readonly undoable: number;
  readonly redoable: number;
}

/** An event of core/verdict with its words. */
export interface VerdictData extends VerdictEvent {
  readonly reason: string;
  readonly author: string;
  /** ISO date and time. */
  readonly at: string;
}

export interface PassageData {
  readonly id: string;
  readonly title: string;
  /** Whose it is. */
  readonly player: { readonly id: string; readonly name: string };
  readonly piece: { readonly id: string; readonly title: string; readonly entered: boolean };
  /** As numbered on paper. */
  readonly bars: { readonly from: string; readonly to: string };
  readonly study: StudyData;
  /** MusicXML of just these bars, for the engraver. */
  readonly music: string;
  /** The first bars of a long passage, which are engraved first; null where it is short. */
  readonly beginning: string | null;
  readonly options: readonly OptionData[];
  readonly verdicts: readonly VerdictData[];
  /** Days on which it was practised, oldest first. */
  readonly practised: readonly Day[];
  /** The day it is where the player is. */
  readonly today: Day;
  readonly recital: { readonly title: string; readonly heldOn: string } | null;
  readonly rests: readonly RestData[];
  readonly allows: Allowances;
  readonly halt: HaltData | null;
  /** What the player calls a clean take. */
  readonly cleanRule: CleanRule;
  readonly wishes: FingeringWishes;
  readonly planMarks: PlanMarks;
  /** Notes that the other hand may take, where only marked ones may. */
  readonly marked: readonly NoteId[];
}

/** The answer of every action: done, or a sentence that says what is wrong. */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly message: string;
      /** Where it may be asked again as it is: nothing was wrong with it. */
      readonly later?: true;
    };

/** A change kept, or refused because the option has moved on since the page was shown. */
export type OptionKept = { readonly outcome: "kept" | "outdated"; readonly now: OptionData };

/** What a passage holds whole, after a change and with those of other windows, and the passage's options on it. */
export interface WholeKept<T> {
  readonly is: T;
  readonly options: readonly OptionData[];
}

/** Where undo or redo has come to: an edit of the option, or a change of the whole passage, with all options after it. */
export type Walked = OptionKept & { readonly options: readonly OptionData[] | null };

/** What is chosen for a passage's notes, and its options worked out anew on it. */
export interface RemediesKept {
  readonly remedies: NoteRemedies;
  readonly options: readonly OptionData[];
}

/** How a piece was heard from a file of keys. */
export interface HeardData {
  readonly choices: Choices;
  readonly guessed: Guessed;
  readonly doubts: readonly Doubt[];
}

export interface PieceData {
  readonly id: string;
  readonly title: string;
  readonly fileName: string | null;
  /** How it was heard, where it came as a file of keys; null otherwise. */
  readonly heard: HeardData | null;
  /** The notes that its doubts are about, by the place of the doubt; null where none is known. */
  readonly doubtful: readonly (Note | null)[];
  /** Whether it was entered step by step, and can be edited on. */
  readonly entered: boolean;
  readonly staves: number;
  /** From which bar on, by its place, each tempo is in force, in quarter notes a minute, and where the file states it; null where it is assumed. */
  readonly tempi: readonly { readonly fromBar: number; readonly tempo: number; readonly source: string | null }[];
  /** The part that is played, and those that may be, the one that is taken by itself first. */
  readonly partId: string;
  readonly parts: readonly { readonly id: string; readonly name: string }[];
  /** Numbers on paper, in order. */
  readonly bars: readonly string[];
  readonly music: string;
  /** The first bars alone, quickly engraved. */
  readonly beginning: string;
  readonly remarks: readonly string[];
  /** mm of the instrument in use. */
  readonly octaveWidth: number;
  /** On whose programme it is, and all that it may be put on. */
  readonly recitalId: string | null;
  readonly recitals: readonly { readonly id: string; readonly title: string; readonly heldOn: string }[];
  readonly passages: readonly {
    readonly id: string;
    readonly title: string;
    /** Bars as numbered on paper. */
    readonly from: string;
    readonly to: string;
    readonly hands: "right" | "left" | "both";
  }[];
}

/** A dated measurement of one hand. */
export interface MeasurementData {
  readonly id: string;
  readonly side: Side;
  /** What the player calls it, where they do. */
  readonly title: string | null;
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

/** A player's own figures in force. */
export interface OwnData extends OwnFigures {
  /** How many takes they are from. */
  readonly takes: number;
  /** ISO date and time. */
  readonly since: string;
}

export interface HandsData {
  readonly playerId: string;
  /** Newest first; none for a hand that was never measured. */
  readonly measurements: Readonly<Record<Side, readonly MeasurementData[]>>;
  readonly rests: readonly RestData[];
  /** The one in use first. */
  readonly instruments: readonly InstrumentData[];
  readonly allows: Allowances;
  /** null where nothing is in force but what is usual. */
  readonly own: OwnData | null;
  /** ISO date of today where the player is. */
  readonly today: string;
}

/** A passage as it is listed; bars as numbered on paper, the tempo in quarter notes a minute. */
interface PassageListed {
  readonly id: string;
  readonly title: string;
  readonly from: string;
  readonly to: string;
  readonly hands: "right" | "left" | "both";
  readonly tempo: number;
}

export interface RepertoireData {
  readonly player: { readonly id: string; readonly name: string };
  /** The next first; those that are over come last. */
  readonly recitals: readonly RecitalData[];
  readonly due: readonly DueData[];
  readonly pieces: readonly {
    readonly id: string;
    readonly title: string;
    readonly passages: readonly PassageListed[];
  }[];
  /** How many things were taken away and can be had back. */
  readonly gone: number;
}

export interface RecitalData {
  readonly id: string;
  readonly title: string;
  /** ISO date. */
  readonly heldOn: string;
  /** Negative where its day is past. */
  readonly daysLeft: number;
  /** Whether the player said that it is over. */
  readonly ended: boolean;
}

/** Somebody who plays here. */
export interface PlayerData {
  readonly id: string;
  readonly name: string;
  readonly isDemo: boolean;
  /** How many pieces they have. */
  readonly pieces: number;
}

/** Something that was taken away and can be brought back. */
export interface GoneData {
  readonly kind: BelongingKind;
  /** What it is called in a sentence. */
  readonly noun: string;
  readonly id: string;
  readonly title: string;
  readonly of: string | null;
  /** ISO date and time. */
  readonly at: string;
}

/** What wants something of the player now. */
export interface DueData {
  readonly passageId: string;
  readonly title: string;
  readonly piece: string;
  readonly standing: Exclude<Standing, { readonly state: "open" }>;
  /** Letter of the option taken. */
  readonly option: string | null;
}

/** A piece that was entered step by step, as it can be edited on. */
export interface EntryData {
  readonly pieceId: string;
  /** Whose it is. */
  readonly playerId: string;
  readonly entry: Entry;
  readonly passageId: string | null;
}
