import { textOf, type Element } from "../../xml/tree";

/** How far what sounds lies from what is written. */
export interface Transposition {
  readonly semitones: number;
  /** Steps of the scale, as a note is spelled. */
  readonly steps: number;
}

export const NO_TRANSPOSITION: Transposition = { semitones: 0, steps: 0 };

/** What a <transpose> says; figures that are no whole number within some octaves count as nothing. */
export function transpositionOf(transpose: Element): Transposition {
  const figure = (name: string): number => {
    const value = Number(textOf(transpose, name) ?? 0);
    return Number.isInteger(value) && Math.abs(value) <= 60 ? value : 0;
  };
  const semitones = figure("chromatic");
  const octaves = figure("octave-change");
  const steps = textOf(transpose, "diatonic") === null ? Math.round((semitones * 7) / 12) : figure("diatonic");
  return { semitones: semitones + 12 * octaves, steps: steps + 7 * octaves };
}
