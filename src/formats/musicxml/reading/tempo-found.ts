import type { Part, Score } from "../score";
import { tempiInOrder, tempoAt, type TempoMark } from "./tempo";
import { PLAYING } from "@/core/physics";

/** The tempo of a passage, and where it comes from: a part of the file and its bar, or nowhere. */
export interface TempoFound {
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** null where the file states none, and the usual one is assumed. */
  readonly from: { readonly part: string; readonly bar: string } | null;
}

/** The tempo in force at a bar of a part, from whichever part of the score states it. @param barIndex 1 for the first */
export function tempoFound(score: Score, part: Part, barIndex: number): TempoFound {
  return foundIn(tempoAt(tempiInOrder(score.tempi, part.members), barIndex));
}

/** The tempo from bar to bar: where it changes, first bar first. */
export function tempiFound(score: Score, part: Part): readonly (TempoFound & { readonly fromBar: number })[] {
  const marks = tempiInOrder(score.tempi, part.members);
  const found: (TempoFound & { readonly fromBar: number })[] = [];
  let known: TempoMark | null | undefined;
  for (const { index } of part.bars) {
    const mark = tempoAt(marks, index);
    if (mark !== known) found.push({ ...foundIn(mark), fromBar: index });
    known = mark;
  }
  return found;
}

function foundIn(mark: TempoMark | null): TempoFound {
  if (mark === null) return { tempo: PLAYING.usualTempo, from: null };
  return { tempo: mark.tempo, from: { part: mark.part, bar: mark.bar } };
}

/** Where a tempo comes from, in words. */
export function tempoSource({ from }: TempoFound): string {
  return from === null ? "assumed: the file states none" : `part ${from.part}, bar ${from.bar}`;
}
