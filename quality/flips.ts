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

const OCTAVE = (low: number): readonly number[] => [low, low + 12];
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

function count(digits: string, digit: string): number {
  return [...digits].filter((each) => each === digit).length;
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
    name: "octaves struck twice, detached",
    side: "right",
    keys: [60, 60, 62, 62, 64].map(OCTAVE),
    manner: { touch: "detached" },
    holds: (slow, fast) => !slow.includes("4") && fast.includes("4") && fast.includes("5"),
    why: "At speed the fourth finger relieves the little finger in repeated octaves.",
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
    name: "a diminished chord broken over two octaves",
    side: "right",
    keys: [60, 63, 66, 69, 72, 75, 78, 81],
    holds: (slow, fast) => count(slow, "1") > count(fast, "1"),
    why: "A thumb that hops is harmless in slow time; fast, the hand is set down twice with four fingers each.",
  },
  {
    name: "a chromatic scale down",
    side: "right",
    keys: Array.from({ length: 13 }, (_, i) => 72 - i),
    holds: (slow, fast) => count(slow, "1") > count(fast, "1"),
    why: "Long groups from four fingers save a thumb pass, and passes are what fails first at speed.",
  },
];
