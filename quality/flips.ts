import type { Side } from "@/core/hand/finger";
import type { Manner } from "@/core/passage/passage";
import type { Keys } from "./keys";

/** Passages whose best fingering is another at speed. In sixteenths, by hands of 205 mm. `npm run quality` prints them. */
export interface TempoFlip {
  readonly name: string;
  readonly side: Side;
  readonly keys: readonly Keys[];
  readonly manner?: Partial<Manner>;
  /** Whether what is best at quarter = 50 and at 160, in digits note by note, differs as a pianist would have it. */
  readonly holds: (slow: string, fast: string) => boolean;
  /** Why a pianist would agree. */
  readonly why: string;
}

const THIRD = (low: number, by: number): readonly number[] => [low, low + by];

/** How many fingers play at all. */
function fingersOf(digits: string): number {
  return new Set(digits).size;
}

/** How often one note follows another with another finger. */
function changes(digits: string): number {
  return [...digits].filter((digit, i) => i > 0 && digit !== digits[i - 1]).length;
}

/** How often a finger plays in one of two notes at a time and in the next two again. */
function sharedByNeighbours(digits: string): number {
  const pairs = digits.match(/../g) ?? [];
  return pairs.filter((pair, i) => i > 0 && [...pair].some((digit) => pairs[i - 1]!.includes(digit))).length;
}

export const TEMPO_FLIPS: readonly TempoFlip[] = [
  {
    name: "one note repeated",
    side: "right",
    keys: [67, 67, 67, 67, 67, 67, 67, 67],
    holds: (slow, fast) => fingersOf(slow) === 1 && changes(fast) === fast.length - 1,
    why: "One finger is calmest while it can keep up; beyond about four a second fingers are changed.",
  },
  {
    name: "each note of a third three times",
    side: "right",
    keys: [64, 64, 64, 65, 65, 65, 67, 67, 67],
    holds: (slow, fast) => changes(slow) === 2 && changes(fast) === fast.length - 1,
    why: "Threefold notes are played by fingers in turn as soon as one finger alone would tire.",
  },
  {
    name: "thirds one above another, detached",
    side: "right",
    keys: [THIRD(60, 4), THIRD(64, 3), THIRD(67, 5), THIRD(72, 4)],
    manner: { touch: "detached" },
    holds: (slow, fast) => sharedByNeighbours(slow) > 0 && sharedByNeighbours(fast) === 0,
    why: "Slowly the arm sets the same two fingers anew each time; quickly there is no time for that, and fingers that are free are used.",
  },
  {
    name: "each of five notes twice",
    side: "right",
    keys: [60, 60, 62, 62, 64, 64, 65, 65, 67, 67],
    holds: (slow, fast) => changes(slow) === 4 && changes(fast) === fast.length - 1,
    why: "Slowly a finger a key; quickly no finger strikes twice running.",
  },
  {
    name: "a trill of a whole step",
    side: "right",
    keys: [72, 74, 72, 74, 72, 74, 72, 74],
    holds: (slow, fast) => slow.includes("1") && !fast.includes("1"),
    why: "Thumb and index are calm when slow; 2 and 3 move most freely from one another when fast.",
  },
  {
    name: "a wide triad upwards",
    side: "right",
    keys: [48, 55, 64, 67, 76],
    holds: (slow, fast) => slow.startsWith("1212") && fast.startsWith("125"),
    why: "Slowly the thumb passes under; quickly the hand takes the tenth whole and is carried to the next notes.",
  },
];
