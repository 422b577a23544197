import { add, beats, compare, divide, multiply, subtract, ZERO, type Beats } from "../time/beats";

/** How long a note is written: whole 1 to thirty-second 32, with a dot or without, in a tuplet or not. */
export interface Length {
  readonly base: Base;
  readonly dotted: boolean;
  readonly tuplet: Tuplet | null;
}

export const BASES = [1, 2, 4, 8, 16, 32] as const;
/** Those that are entered, and finer ones that only a file is written in. */
export const FINE_BASES = [...BASES, 64, 128] as const;
export type Base = (typeof FINE_BASES)[number];

/** So many in the time of so many: [3, 2] is a triplet. */
export const TUPLETS = [
  [3, 2],
  [5, 4],
  [6, 4],
  [7, 4],
] as const;
export type Tuplet = (typeof TUPLETS)[number];

/** Quarter notes. */
export function beatsOf({ base, dotted, tuplet }: Length): Beats {
  let value = divide(beats(4), beats(base));
  if (dotted) value = multiply(value, beats("3/2"));
  return tuplet ? multiply(value, beats(tuplet[1], tuplet[0])) : value;
}

/** Quarter notes of a full bar. */
export function barBeats([count, unit]: readonly [number, number]): Beats {
  return beats(count * 4, unit);
}

/** Quarter notes that lengths last together, exactly; 0 for none. */
export function sumOf(lengths: readonly Length[]): Beats {
  return lengths.reduce((sum, length) => add(sum, beatsOf(length)), ZERO);
}

/**
 * Plain and dotted lengths that together last so many quarter notes, longest first; what is left over and is shorter
 * than the last of the bases, or no multiple of one, cannot be written so and is left out.
 */
export function lengthsFor(room: Beats, bases: readonly Base[] = BASES): readonly Length[] {
  const found: Length[] = [];
  let left = room;
  for (const base of bases)
    for (const dotted of [true, false]) {
      const length: Length = { base, dotted, tuplet: null };
      while (compare(beatsOf(length), left) <= 0) {
        found.push(length);
        left = subtract(left, beatsOf(length));
      }
    }
  return found;
}
