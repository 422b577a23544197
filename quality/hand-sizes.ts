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

function fingersOf(digits: string): number {
  return new Set(digits).size;
}

/** How often a right hand that goes up is set down anew with a lower finger after a higher one. */
function passes(digits: string): number {
  return [...digits].filter((digit, i) => i > 0 && digit <= digits[i - 1]!).length;
}

export const HAND_SIZES: readonly HandSizes[] = [
  {
    name: "a ninth",
    side: "right",
    keys: [[60, 74]],
    holds: (small, middle, large) => small.includes("0") && middle === "15" && large === "15",
    why: "A small hand cannot hold it at all.",
  },
  {
    name: "a tenth",
    side: "left",
    keys: [[48, 64]],
    holds: (small, middle, large) => small.includes("0") && middle.includes("0") && large === "51",
    why: "Only a large hand holds it.",
  },
  {
    name: "a diminished chord with its octave",
    side: "right",
    keys: [[60, 63, 66, 72]],
    holds: (small, middle, large) => small.includes("0") && !`${middle}${large}`.includes("0"),
    why: "On the blacks the small hand is drawn in where the octave is beyond it.",
  },
  {
    name: "a fifth and a sixth at once",
    side: "left",
    keys: [[43, 50, 59]],
    holds: (small, middle, large) => `${small}${middle}`.includes("0") && large === "521",
    why: "The tenth between the outer notes is for large hands.",
  },
  {
    name: "sevenths one after another",
    side: "right",
    keys: [60, 71, 62, 72],
    holds: (small, _middle, large) => fingersOf(small) < fingersOf(large),
    why: "The larger the hand, the more fingers reach a seventh.",
  },
  {
    name: "sixths, three in a row",
    side: "right",
    keys: [
      [60, 69],
      [62, 71],
      [64, 72],
    ],
    holds: (small, middle, large) => !small.includes("2") && middle.includes("25") && large.includes("25"),
    why: "2 and 5 hold a sixth at ease from a middle hand up.",
  },
  {
    name: "two broken sixths by turns",
    side: "right",
    keys: [60, 69, 64, 72, 60, 69, 64, 72],
    holds: (small, middle, large) => !small.includes("2") && middle === large && large.startsWith("1425"),
    why: "From a middle hand up the four keys are one chord, with 2 and 5 on a sixth; a small one has the outer fingers move.",
  },
  {
    name: "a broken seventh with a third between 3 and 4",
    side: "right",
    keys: [64, 68, 71, 75, 76, 80, 83, 87, 88],
    holds: (small, middle, large) => passes(small) > passes(middle) && passes(middle) === passes(large),
    why: "3 and 4 do not open to a third in a small hand: it is set down oftener.",
  },
  {
    name: "a tenth broken upwards and on",
    side: "left",
    keys: [36, 45, 52, 57, 60, 64],
    holds: (small, middle, large) => !small.startsWith("521") && middle.startsWith("521") && large.startsWith("521"),
    why: "The small hand moves within the tenth, the others hold it from 5 to 1.",
  },
  {
    name: "broken fourths, a step up each",
    side: "right",
    keys: [60, 65, 62, 67, 64, 69, 65, 71],
    holds: (small, middle, large) => !`${small}${middle}`.includes("3") && large.startsWith("1324"),
    why: "A large hand takes two fourths with four fingers beside one another; the others open wider than that.",
  },
];
