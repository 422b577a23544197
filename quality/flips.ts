import type { Side } from "@/core/hand/finger";
import type { Manner } from "@/core/passage/passage";
import type { Keys } from "./solve";

/** Passages whose best fingering is another at speed. In sixteenths, by hands of 205 mm. Listed in docs/cost.md. */
export interface TempoFlip {
  readonly name: string;
  readonly side: Side;
  readonly keys: readonly Keys[];
  readonly manner?: Partial<Manner>;
  /** The best at quarter = 50 and at 160. */
  readonly slow: string;
  readonly fast: string;
  /** Quarter notes a minute from which the fast one is better. */
  readonly tempo: number;
  /** Why a pianist would agree. */
  readonly why: string;
}

const OCTAVE = (low: number): readonly number[] => [low, low + 12];
const THIRD = (low: number, by: number): readonly number[] => [low, low + by];

export const TEMPO_FLIPS: readonly TempoFlip[] = [
  {
    name: "one note repeated",
    side: "right",
    keys: [67, 67, 67, 67, 67, 67, 67, 67],
    slow: "11111111",
    fast: "12121212",
    tempo: 67,
    why: "One finger is calmest while it can keep up; beyond about four a second fingers are changed.",
  },
  {
    name: "each note of a third three times",
    side: "right",
    keys: [64, 64, 64, 65, 65, 65, 67, 67, 67],
    slow: "111222333",
    fast: "212312313",
    tempo: 76,
    why: "Threefold notes are played by fingers in turn as soon as one finger alone would tire.",
  },
  {
    name: "octaves struck twice, detached",
    side: "right",
    keys: [60, 60, 62, 62, 64].map(OCTAVE),
    manner: { touch: "detached" },
    slow: "1515151515",
    fast: "1514151415",
    tempo: 68,
    why: "At speed the fourth finger relieves the little finger in repeated octaves.",
  },
  {
    name: "thirds one above another, detached",
    side: "right",
    keys: [THIRD(60, 4), THIRD(64, 3), THIRD(67, 5), THIRD(72, 4)],
    manner: { touch: "detached" },
    slow: "12121335",
    fast: "13241524",
    tempo: 70,
    why: "Slowly the arm sets the same two fingers anew each time; quickly there is no time for that, and fingers that are free are used.",
  },
  {
    name: "a diminished chord broken over two octaves",
    side: "right",
    keys: [60, 63, 66, 69, 72, 75, 78, 81],
    slow: "12311235",
    fast: "12351235",
    tempo: 65,
    why: "A thumb that hops is harmless in slow time; fast, the hand is set down twice with four fingers each.",
  },
  {
    name: "a chromatic scale down",
    side: "right",
    keys: Array.from({ length: 13 }, (_, i) => 72 - i),
    slow: "5143213214321",
    fast: "4321432132132",
    tempo: 131,
    why: "Long groups from four fingers save a thumb pass, and passes are what fails first at speed.",
  },
];
