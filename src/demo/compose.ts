import type { NewVoice } from "@/formats/musicxml/writing/new-score";
import { writeScore } from "@/formats/musicxml/writing/write-score";
import { written } from "./notation";

/** A piece of the demo as it is written down. */
export interface Composed {
  readonly title: string;
  /** Sharps positive, flats negative. */
  readonly fifths: number;
  readonly time: readonly [number, number];
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly words: string;
  /** Voices of the right hand's staff, upper first, then of the left's, in the notation of notation.ts. */
  readonly right: readonly string[];
  readonly left: readonly string[];
  readonly leftClef?: "F" | "G";
}

/** The piece as a MusicXML 4.0 score of one piano part with two staves. */
export function compose({ right, left, leftClef = "F", ...piece }: Composed): string {
  const voicesOf = (texts: readonly string[], staff: 1 | 2): readonly NewVoice[] =>
    texts.map((text, i) => ({
      staff,
      voice: i + (staff === 1 ? 1 : 5),
      stem: texts.length === 1 ? null : i === 0 ? "up" : "down",
      bars: written(text),
    }));
  return writeScore({ ...piece, leftClef, voices: [...voicesOf(right, 1), ...voicesOf(left, 2)] });
}
