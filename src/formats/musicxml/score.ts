import type { Pitch } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import type { Beats } from "@/core/time/beats";
import type { Package } from "../mxl/mxl";
import type { Element } from "../xml/tree";
import type { Character } from "./read-character";

/** A score as read, with what is needed to write it again unchanged. */
export interface Score {
  /** The decoded text of the score; offsets of elements refer to it. */
  readonly text: string;
  /** The compressed file it came in, if it did. */
  readonly package: Package | null;
  readonly root: Element;
  readonly title: string | null;
  readonly parts: readonly Part[];
}

export interface Part {
  readonly id: string;
  readonly name: string;
  readonly staves: number;
  readonly bars: readonly Bar[];
  /** Quarter notes a minute at the start, null where the file does not say. */
  readonly tempo: number | null;
}

export interface Bar {
  /** 1 for the first bar of the file, pick-up or not. */
  readonly index: number;
  /** As numbered on paper; the index where the file numbers it otherwise than by a whole number. */
  readonly number: string;
  readonly start: Beats;
  readonly length: Beats;
  readonly heads: readonly NoteHead[];
  readonly element: Element;
}

/** One printed note head. Ties are not yet joined. */
export interface NoteHead extends Character {
  readonly id: NoteId;
  readonly pitch: Pitch;
  readonly step: number;
  readonly staff: number;
  readonly voice: string;
  readonly onset: Beats;
  readonly duration: Beats;
  readonly grace: number;
  readonly tieStart: boolean;
  readonly tieStop: boolean;
  readonly printed: number | null;
  readonly element: Element;
}

/** The part a pianist wants: the first with two staves, else the first called a piano, else the first with notes. */
export function pianoPart(score: Score): Part {
  const playing = score.parts.filter((part) => part.bars.some((bar) => bar.heads.length > 0));
  return (
    playing.find((part) => part.staves === 2) ??
    playing.find((part) => /piano|klavier|clavier/i.test(part.name)) ??
    playing[0] ??
    score.parts[0]!
  );
}

/** What a pianist should be told about the part that was taken. */
export function partRemarks(score: Score, part: Part): readonly string[] {
  const others = score.parts.length > 1 ? ` of ${score.parts.length}` : "";
  const called = part.name ? `“${part.name}”` : "without a name";
  if (part.bars.every((bar) => bar.heads.length === 0)) return ["The part holds no notes: there is nothing to finger."];
  if (part.staves === 2) return [];
  if (/piano|klavier|clavier/i.test(part.name))
    return ["The piano part has one staff: it can be worked out for the right hand or for the left."];
  return [
    `No part is for a piano. The part ${called}${others}, on one staff, is taken; it can be worked out for either hand.`,
  ];
}

export function partById(score: Score, id: string): Part | null {
  return score.parts.find((part) => part.id === id) ?? null;
}
