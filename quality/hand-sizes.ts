import type { Side } from "@/core/hand/finger";
import type { Manner } from "@/core/passage/passage";
import type { Keys } from "./keys";

/** Ruler spans in mm of a small, a middle and a large hand. */
export const SPANS = [180, 205, 232] as const;

/** Passages that hands of different size finger differently, in sixteenths at quarter = 96. `npm run quality` prints them. */
export interface HandSizes {
  readonly name: string;
  readonly side: Side;
  readonly keys: readonly Keys[];
  readonly manner?: Partial<Manner>;
  /** Whether what is best for a small, a middle and a large hand, in digits note by note, differs as a teacher would have it. */
  readonly holds: (small: string, middle: string, large: string) => boolean;
  /** Why a teacher would expect it. */
  readonly why: string;
}

const OCTAVE = (low: number): readonly number[] => [low, low + 12];

/** Whether every finger is followed by a higher one, so that the hand opens and moves nowhere. */
function rises(digits: string): boolean {
  return [...digits].every((digit, i) => i === 0 || digit > digits[i - 1]!);
}

function fingersOf(digits: string): number {
  return new Set(digits).size;
}

/** How often a left hand that goes up is set down anew with a higher finger after a lower one. */
function climbs(digits: string): number {
  return [...digits].filter((digit, i) => i > 0 && digit > digits[i - 1]!).length;
}

/** How often a right hand that goes up is set down anew with a lower finger after a higher one. */
function passes(digits: string): number {
  return [...digits].filter((digit, i) => i > 0 && digit <= digits[i - 1]!).length;
}

export const HAND_SIZES: readonly HandSizes[] = [
  {
    name: "octaves on black keys, detached",
    side: "right",
    keys: [66, 68, 70].map(OCTAVE),
    manner: { touch: "detached" },
    holds: (small, middle, large) => !small.includes("4") && middle.includes("4") && large.includes("4"),
    why: "The fourth finger reaches a black octave with ease only from a middle hand up.",
  },
  {
    name: "octaves struck twice, detached",
    side: "right",
    keys: [60, 60, 62, 62, 64].map(OCTAVE),
    manner: { touch: "detached" },
    holds: (small, middle, large) => !small.includes("4") && middle.includes("4") && large.includes("4"),
    why: "A small hand has no finger but the fifth for a white octave.",
  },
  {
    name: "a seventh chord",
    side: "right",
    keys: [[60, 64, 67, 71]],
    holds: (small, middle, large) => small.endsWith("45") && middle.endsWith("35") && large.endsWith("35"),
    why: "From 3 to 5 a third is wide for a small hand; it takes it with 4 and 5.",
  },
  {
    name: "a ninth",
    side: "right",
    keys: [[60, 74]],
    holds: (small, middle, large) => small.includes("0") && middle === "15" && large === "15",
    why: "A small hand cannot hold it at all.",
  },
  {
    name: "a diminished chord with its octave",
    side: "right",
    keys: [[60, 63, 66, 72]],
    holds: (small, middle, large) => small.includes("0") && !`${middle}${large}`.includes("0"),
    why: "On the blacks the small hand is drawn in where the octave is beyond it.",
  },
  {
    name: "a chord with its ninth, broken",
    side: "right",
    keys: [60, 64, 67, 74],
    holds: (small, middle, large) => !rises(small) && rises(middle) && rises(large),
    why: "The small hand goes over to a new position, the others open to it.",
  },
  {
    name: "sevenths one after another",
    side: "right",
    keys: [60, 71, 62, 72, 64, 74],
    holds: (small, middle, large) => fingersOf(small) < fingersOf(middle) && fingersOf(middle) < fingersOf(large),
    why: "The larger the hand, the more fingers reach a seventh.",
  },
  {
    name: "a five-note scale over an octave and more",
    side: "right",
    keys: [60, 62, 64, 67, 69, 72, 74, 76, 79],
    holds: (small, middle, large) => passes(small) > passes(large) && passes(middle) > passes(large),
    why: "A large hand lies over a sixth with five fingers and passes once less.",
  },
  {
    name: "a tenth broken upwards and back",
    side: "left",
    keys: [36, 43, 52, 55, 60, 64],
    holds: (small, middle, large) => climbs(small) > climbs(middle) && climbs(middle) === climbs(large),
    why: "The small hand moves within the tenth, the others hold it from 5 to 1.",
  },
  {
    name: "sixths, three in a row",
    side: "right",
    keys: [
      [60, 69],
      [62, 71],
      [64, 72],
    ],
    holds: (small, middle, large) => !`${small}${middle}`.includes("25") && large.includes("25"),
    why: "2 and 5 hold a sixth at ease on a large hand alone.",
  },
];
