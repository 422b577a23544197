import type { Ladder, Notch } from "@/core/practice/ladder";
import type { Doing } from "@/core/practice/planner/day";
import type { Dose } from "@/core/practice/planner/dose";
import type { School } from "@/core/practice/school";
import type { Day } from "@/core/time/days";
import type { HaltData } from "./trials";

/** What came of a block. */
interface BlockDone {
  readonly minutes: number;
  /** Quarter notes a minute that the ladder came to; null where none was climbed. */
  readonly tempo: number | null;
  /** Good plays and all plays; null where none were counted. */
  readonly count: { readonly good: number; readonly plays: number } | null;
  /** Whether the hands were loose after it; null where the player did not say. */
  readonly loose: boolean | null;
  readonly note: string;
  /** ISO date and time. */
  readonly at: string;
}

/** A stretch of a planned day. */
export interface BlockData {
  readonly id: string;
  readonly doing: Doing;
  readonly passage: { readonly id: string; readonly title: string } | null;
  readonly piece: { readonly id: string; readonly title: string } | null;
  readonly why: string;
  readonly minutes: number;
  readonly dose: Dose;
  readonly state: "planned" | "done" | "struck";
  readonly done: BlockDone | null;
}

/** How a player practises. */
export interface PracticeSettings {
  /** Minutes by weekday, Monday first. */
  readonly week: readonly number[];
  readonly school: School;
  /** mm times minutes that each hand may open wide in a day; null until the player has said theirs. */
  readonly doseLimit: number | null;
}

/** How much a player's hands may open wide today, and how much they have. */
export interface DoseToday {
  readonly spent: Dose;
  /** What there is of the limit today. */
  readonly limit: number;
  /** Days on which more of it comes back after a stop, each with the share of the limit. */
  readonly steps: readonly { readonly on: Day; readonly share: number }[];
}

export interface TodayData {
  readonly playerId: string;
  readonly day: Day;
  readonly plan: DayPlanData | null;
  readonly settings: PracticeSettings;
  readonly dose: DoseToday;
  readonly halt: HaltData | null;
}

interface DayPlanData {
  readonly minutes: number;
  readonly isCold: boolean;
  /** In order; those struck out among them. */
  readonly blocks: readonly BlockData[];
  /** What cannot be practised now, each with why; only as long as the day has just been planned. */
  readonly hindered: readonly { readonly title: string; readonly why: string }[];
}

/** A day to come as it would be planned. */
export interface DayAheadData {
  readonly day: Day;
  readonly minutes: number;
  readonly blocks: readonly { readonly doing: Doing; readonly title: string; readonly why: string }[];
}

/** Where the player stands in the practice of a passage. */
export interface PracticeStand {
  readonly ladder: (Ladder & { readonly notch: Notch }) | null;
  readonly count: { readonly wanted: number; readonly plays: readonly boolean[] } | null;
  /** The day on which each drill, by hand and id, had done its work. */
  readonly worked: Readonly<Record<string, string>>;
  readonly school: School;
  /** Minutes of practice by weekday, Monday first. */
  readonly week: readonly number[];
  /** The block of today's plan that is for this passage and not done; null where there is none. */
  readonly block: BlockData | null;
}

/** Takes of one passage on one day, together. */
export interface TakesOfDay {
  readonly passageId: string;
  readonly takes: number;
  readonly clean: number;
  /** Quarter notes a minute of the fastest clean take; null where none was clean. */
  readonly cleanTempo: number | null;
  /** The greatest tension felt; null where nothing was said. */
  readonly tension: number | null;
  /** Letters of the options played. */
  readonly options: readonly string[];
}

export interface DiaryNoteData {
  readonly id: string;
  readonly passageId: string | null;
  readonly on: Day;
  readonly text: string;
  /** null for the player's own words. */
  readonly author: string | null;
}

/** A day of the diary. */
export interface DiaryDay {
  readonly day: Day;
  readonly blocks: readonly BlockData[];
  readonly takes: readonly TakesOfDay[];
  readonly decided: readonly {
    readonly passageId: string;
    readonly kind: string;
    /** Letter of the option, where one was meant. */
    readonly option: string | null;
    readonly reason: string;
    readonly author: string;
  }[];
  readonly notes: readonly DiaryNoteData[];
  readonly dose: Dose;
  /** Minutes practised. */
  readonly minutes: number;
}

export interface DiaryData {
  readonly playerId: string;
  readonly today: Day;
  /** Newest first. */
  readonly days: readonly DiaryDay[];
  /** How many days back a page goes. */
  readonly page: number;
  /** Whether there are older days than those shown. */
  readonly hasMore: boolean;
  readonly passages: readonly { readonly id: string; readonly title: string; readonly piece: string }[];
  /** Dose and minutes of each day, oldest first, however few days are shown. */
  readonly doses: readonly { readonly day: Day; readonly dose: Dose; readonly minutes: number }[];
}

/** The whole story of a passage, on one page. */
export interface StoryData {
  readonly passage: { readonly id: string; readonly title: string; readonly piece: string; readonly tempo: number };
  /** Advice, author by author. */
  readonly advice: readonly { readonly author: string; readonly said: readonly DiaryNoteData[] }[];
  /** Takes of each day, oldest first. */
  readonly tempi: readonly { readonly day: Day; readonly takes: TakesOfDay }[];
  /** Tension felt by bar: the mean, and how many takes named it. */
  readonly bars: readonly { readonly bar: string; readonly tension: number; readonly takes: number }[];
}
