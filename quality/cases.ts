import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Finger, Side } from "@/core/hand/finger";

/**
 * Standard fingerings of scales and arpeggios over two octaves, as conservatories teach them. Row of the
 * table: name, hand, MIDI keys in order, accepted fingerings, first and last graded note (from the first
 * thumb to the last; the ends have many good answers).
 */
type Row = readonly [string, Side, string, readonly string[], number, number];

export interface QualityCase {
  readonly name: string;
  readonly side: Side;
  readonly keys: readonly number[];
  readonly accepted: readonly (readonly Finger[])[];
  readonly graded: readonly number[];
}

/** Sixteenth notes at this many quarter notes a minute, by a hand of this ruler span in mm. */
export const QUALITY_TEMPO = 96;
export const QUALITY_RULER_SPAN = 205;

/** Calibrated on: the first, major scales in the six keys it leaves out, and two minor ones that begin on black keys. */
export const TUNED_ON = ["scales-and-arpeggios", "more-major-scales", "more-minor-scales"] as const;

/** The same kinds in keys that no weight was tuned on; they were looked at. */
export const NOT_TUNED_ON = "keys-not-tuned-on" as const;

type Table = (typeof TUNED_ON)[number] | typeof NOT_TUNED_ON;

export function qualityCases(name: Table = "scales-and-arpeggios"): readonly QualityCase[] {
  const table = JSON.parse(readFileSync(join(process.cwd(), "quality", `${name}.json`), "utf8")) as readonly Row[];
  return table.map(([name, side, keys, accepted, first, last]) => ({
    name,
    side,
    keys: keys.split(" ").map(Number),
    accepted: accepted.map((digits) => [...digits].map((d) => Number(d) as Finger)),
    graded: Array.from({ length: last - first + 1 }, (_, i) => first + i),
  }));
}
