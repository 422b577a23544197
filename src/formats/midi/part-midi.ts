import { handOf } from "@/core/passage/passage";
import { child, childrenOf, textOf } from "../xml/tree";
import { passageFrom } from "../musicxml/passage";
import { tempiFound } from "../musicxml/reading/tempo-found";
import type { Part, Score } from "../musicxml/score";
import { writeScoreMidi, type BarWritten, type ScoreForMidi } from "./write-score-midi";

/** Bars of a part as a Standard MIDI File, first and last by Bar.index. @throws RangeError where they are not in the part */
export function partMidi(score: Score, part: Part, fromBar = 1, toBar = part.bars.length): Uint8Array {
  const passage = passageFrom(part, fromBar, toBar, "both");
  return writeScoreMidi({
    title: score.title ?? "",
    notes: passage.notes,
    handOf: (note) => handOf(note, passage),
    bars: barsWritten(part).slice(fromBar - 1, toBar),
    tempi: tempiIn(score, part, fromBar, toBar),
  });
}

/** Some bars of a part as they are played: their notes given, at one tempo. */
export function barsMidi(
  part: Part,
  {
    fromBar,
    toBar,
    tempo,
    ...given
  }: Omit<ScoreForMidi, "bars" | "tempi"> & {
    readonly fromBar: number;
    readonly toBar: number;
    readonly tempo: number;
  },
): Uint8Array {
  const bars = barsWritten(part).slice(fromBar - 1, toBar);
  return writeScoreMidi({ ...given, bars, tempi: [{ at: bars[0]!.start, tempo }] });
}

/** Tempi of some bars, the one in force at the first of them first. */
function tempiIn(score: Score, part: Part, fromBar: number, toBar: number): ScoreForMidi["tempi"] {
  const all = tempiFound(score, part);
  const begun = all.findLast((one) => one.fromBar <= fromBar) ?? all[0]!;
  const later = all.filter((one) => one.fromBar > fromBar && one.fromBar <= toBar);
  return [
    { at: part.bars[fromBar - 1]!.start, tempo: begun.tempo },
    ...later.map((one) => ({ at: part.bars[one.fromBar - 1]!.start, tempo: one.tempo })),
  ];
}

/** Time and key signature of every bar as they stand in the file; four quarters in no key until it says so. */
function barsWritten(part: Part): readonly BarWritten[] {
  let time: readonly [number, number] = [4, 4];
  let fifths = 0;
  return part.bars.map(({ start, length, elements: [measure] }): BarWritten => {
    for (const attributes of measure ? childrenOf(measure, "attributes") : []) {
      const key = child(attributes, "key");
      const named = Number(key && textOf(key, "fifths"));
      if (key && Number.isInteger(named) && Math.abs(named) <= 7) fifths = named;
      const stated = child(attributes, "time");
      const counts = (stated && textOf(stated, "beats"))?.split("+").map(Number) ?? [];
      const unit = Number(stated && textOf(stated, "beat-type"));
      const count = counts.reduce((sum, one) => sum + one, 0);
      if (stated && count > 0 && unit > 0) time = [count, unit];
    }
    return { start, length, time, fifths };
  });
}
