import type { Side } from "@/core/hand/finger";
import type { Manner } from "@/core/passage/passage";
import type { Keys } from "./solve";

/** Ruler spans in mm of a small, a middle and a large hand. */
export const SPANS = [180, 205, 232] as const;

/** Passages that hands of different size finger differently, in sixteenths at quarter = 96. Listed in docs/cost.md. */
export interface HandSizes {
  readonly name: string;
  readonly side: Side;
  readonly keys: readonly Keys[];
  readonly manner?: Partial<Manner>;
  /** The best for a small, a middle and a large hand. */
  readonly digits: readonly [string, string, string];
  /** Why a teacher would expect it. */
  readonly why: string;
}

const OCTAVE = (low: number): readonly number[] => [low, low + 12];

export const HAND_SIZES: readonly HandSizes[] = [
  {
    name: "octaves on black keys, detached",
    side: "right",
    keys: [66, 68, 70].map(OCTAVE),
    manner: { touch: "detached" },
    digits: ["151515", "151415", "151415"],
    why: "The fourth finger reaches a black octave with ease only from a middle hand up.",
  },
  {
    name: "octaves struck twice, detached",
    side: "right",
    keys: [60, 60, 62, 62, 64].map(OCTAVE),
    manner: { touch: "detached" },
    digits: ["1515151515", "1514151415", "1514151415"],
    why: "A small hand has no finger but the fifth for a white octave.",
  },
  {
    name: "a seventh chord",
    side: "right",
    keys: [[60, 64, 67, 71]],
    digits: ["1245", "1235", "1235"],
    why: "From 3 to 5 a third is wide for a small hand; it takes it with 4 and 5.",
  },
  {
    name: "a ninth",
    side: "right",
    keys: [[60, 74]],
    digits: ["10", "15", "15"],
    why: "A small hand cannot hold it at all.",
  },
  {
    name: "a diminished chord with its octave",
    side: "right",
    keys: [[60, 63, 66, 72]],
    digits: ["1240", "1235", "1235"],
    why: "On the blacks the small hand is drawn in where the octave is beyond it.",
  },
  {
    name: "a chord with its ninth, broken",
    side: "right",
    keys: [60, 64, 67, 74],
    digits: ["3125", "1235", "1235"],
    why: "The small hand goes over to a new position, the others open to it.",
  },
  {
    name: "sevenths one after another",
    side: "right",
    keys: [60, 71, 62, 72, 64, 74],
    digits: ["151515", "151415", "131415"],
    why: "The larger the hand, the more fingers reach a seventh.",
  },
  {
    name: "a five-note scale over an octave and more",
    side: "right",
    keys: [60, 62, 64, 67, 69, 72, 74, 76, 79],
    digits: ["123131235", "123131235", "123451235"],
    why: "A large hand lies over a sixth with five fingers and passes once less.",
  },
  {
    name: "a tenth broken upwards and back",
    side: "left",
    keys: [36, 43, 52, 55, 60, 64],
    digits: ["514213", "521321", "521321"],
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
    digits: ["131415", "131415", "131425"],
    why: "2 and 5 hold a sixth at ease on a large hand alone.",
  },
];
