import type { Side } from "@/core/hand/finger";
import type { Pitch } from "@/core/keyboard/pitch";
import type { Metre } from "@/core/passage/metre";
import type { NoteId } from "@/core/passage/note";
import type { Beats } from "@/core/time/beats";
import type { Package } from "../mxl/mxl";
import type { Element } from "../xml/tree";
import type { Character } from "./reading/read-character";
import type { TempoMark } from "./reading/tempo";

/** A score as read, with what is needed to write it again unchanged. */
export interface Score {
  /** The decoded text of the score; offsets of elements refer to it. */
  readonly text: string;
  /** The compressed file it came in, if it did. */
  readonly package: Package | null;
  readonly root: Element;
  readonly title: string | null;
  readonly parts: readonly Part[];
  /** Every tempo that any part states. */
  readonly tempi: readonly TempoMark[];
}

/** What one player plays: a part of the file, or two of one staff each that are a piano together. */
export interface Part {
  /** Its id in the file; of two, both with a + between. */
  readonly id: string;
  readonly name: string;
  readonly staves: number;
  readonly bars: readonly Bar[];
  /** The parts of the file that it is made of, upper staff first. */
  readonly members: readonly string[];
}

export interface Bar {
  /** 1 for the first bar of the file, pick-up or not. */
  readonly index: number;
  /** As numbered on paper; the index where the file numbers it otherwise than by a whole number. */
  readonly number: string;
  readonly start: Beats;
  readonly length: Beats;
  readonly metre: Metre;
  /** Whether the file does not count it, as a pick-up or the rest of a bar that a repeat cuts. */
  readonly implicit: boolean;
  readonly heads: readonly NoteHead[];
  /** Where it stands in the file, one for each member of its part. */
  readonly elements: readonly Element[];
}

/** One printed note head. Ties are not yet joined. */
export interface NoteHead extends Character {
  readonly id: NoteId;
  readonly pitch: Pitch;
  readonly step: number;
  readonly staff: number;
  /** The staff by which its own part in the file calls it. */
  readonly home: number;
  readonly voice: string;
  /** The same for the heads on one stem, within a bar. */
  readonly stem: number;
  readonly onset: Beats;
  readonly duration: Beats;
  readonly grace: number;
  readonly tieStart: boolean;
  readonly tieStop: boolean;
  readonly printed: number | null;
  /** The hand that plays it, where its staff does not say so. */
  readonly hand?: Side;
  /** How it is rolled with the notes that are struck with it. */
  readonly roll?: { readonly direction: "up" | "down"; readonly number: string };
  readonly element: Element;
}
