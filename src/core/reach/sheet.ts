import type { Side } from "../hand/finger";
import { isBlack, pitch, reflect, type Pitch } from "../keyboard/pitch";
import { PAIRS, type Pair } from "../hand/pair";
import { gradeOf, type Grade } from "../placement/grade";
import type { Allowed, Placement } from "../placement/placement";
import type { Placements } from "../placement/placements";
import { solvePlacement } from "../placement/solve";

/** Colours of the two keys, that of the finger nearer the thumb first. */
export const KEY_COLOURS = ["white-white", "white-black", "black-white", "black-black"] as const;
export type KeyColours = (typeof KEY_COLOURS)[number];

/** One answer of the sheet: two fingers on two keys so many semitones apart. */
export interface SheetCell {
  readonly semitones: number;
  /** Keys that stand for the interval, that of the finger nearer the thumb first. */
  readonly keys: readonly [Pitch, Pitch];
  readonly placement: Placement;
  readonly grade: Grade;
}

export interface SheetRow {
  readonly pair: Pair;
  /** By semitones, 1 first; null where no two keys of these colours lie so far apart. */
  readonly cells: readonly (SheetCell | null)[];
}

/** Semitones on the sheet: up to an eleventh. */
export const SHEET_SEMITONES = 17;

/** Names of the intervals by semitones, 1 first. */
export const INTERVAL_NAMES = [
  "minor second",
  "major second",
  "minor third",
  "major third",
  "fourth",
  "tritone",
  "fifth",
  "minor sixth",
  "major sixth",
  "minor seventh",
  "major seventh",
  "octave",
  "minor ninth",
  "major ninth",
  "minor tenth",
  "major tenth",
  "eleventh",
] as const;

/** Every finger pair of a hand against every interval, under conditions on shape and tilt. */
export function reachSheet(
  { hand, instrument }: Placements,
  colours: KeyColours,
  allowed: Allowed,
): readonly SheetRow[] {
  return PAIRS.map((pair) => ({
    pair,
    cells: Array.from({ length: SHEET_SEMITONES }, (_, i): SheetCell | null => {
      const keys = keysFor(i + 1, colours, hand.side);
      if (!keys || pair.some((finger) => hand.resting.includes(finger))) return null;
      const holds = pair.map((finger, at) => ({ finger, key: keys[at]! }));
      const placement = solvePlacement(hand, instrument, holds, allowed);
      return { semitones: i + 1, keys, placement, grade: gradeOf(placement) };
    }),
  }));
}

/** Reflecting about this D keeps black and white apart. */
const MIRROR = pitch(62);

/** The first two keys about the middle of the keyboard that lie so far apart and have these colours; mirrored for the left. */
function keysFor(semitones: number, colours: KeyColours, side: Side): readonly [Pitch, Pitch] | null {
  const [first, second] = colours.split("-").map((colour) => colour === "black") as [boolean, boolean];
  for (let key = 60; key < 72; key++) {
    const [from, to] = [pitch(key), pitch(key + semitones)];
    if (isBlack(from) !== first || isBlack(to) !== second) continue;
    return side === "right" ? [from, to] : [reflect(from, MIRROR), reflect(to, MIRROR)];
  }
  return null;
}
