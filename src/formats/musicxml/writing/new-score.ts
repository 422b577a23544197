import type { Mark } from "@/core/entry/entry";
import type { Length } from "@/core/entry/length";
import type { WrittenPitch } from "@/core/entry/spelling";
import type { Beats } from "@/core/time/beats";

/** A score for the piano that is written from nothing. */
export interface NewScore {
  readonly title: string;
  /** Sharps positive, flats negative. */
  readonly fifths: number;
  readonly time: readonly [number, number];
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** What is written over the first bar, if anything. */
  readonly words: string;
  readonly leftClef: "F" | "G";
  readonly voices: readonly NewVoice[];
  /** Bars that are not all full ones of `time` in one key, in order. */
  readonly bars?: readonly NewBar[];
}

export interface NewBar {
  /** As numbered on paper; 0 for an upbeat, which is not counted. */
  readonly number: number;
  readonly time: readonly [number, number];
  readonly fifths: number;
  /** Quarter notes; shorter than a full bar for an upbeat. */
  readonly length: Beats;
}

export interface NewVoice {
  readonly staff: 1 | 2;
  readonly voice: number;
  /** Stems of a voice that shares its staff all go one way. */
  readonly stem: "up" | "down" | null;
  /** Whether it may end before its bar does; what is left is then passed over. */
  readonly mayEndEarly?: boolean;
  readonly bars: readonly (readonly NewNote[])[];
}

/** A note, a chord, or without pitches a rest. */
export interface NewNote {
  readonly pitches: readonly (WrittenPitch & { readonly digit?: string | null })[];
  readonly length: Length;
  readonly tied: boolean;
  readonly mark?: Mark;
  /** Whether it is a grace note, which takes no time; its length is what it looks like. */
  readonly isGrace?: boolean;
  readonly isTrill?: boolean;
  /** Whether a rest is left blank, as where a second voice is silent. */
  readonly unseen?: boolean;
}
