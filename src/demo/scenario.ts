import type { Side } from "@/core/hand/finger";
import type { HandMeasured } from "@/core/hand/measured";
import type { Hands, Touch } from "@/core/passage/passage";
import type { Composed } from "./compose";
import { darkWater } from "./pieces/dark-water";
import { doubleWindows } from "./pieces/double-windows";
import { fourRivers } from "./pieces/four-rivers";
import { highWind } from "./pieces/high-wind";
import { ironGate } from "./pieces/iron-gate";
import { lanternStairs } from "./pieces/lantern-stairs";
import { overLeaves } from "./pieces/over-leaves";
import { signalLamp } from "./pieces/signal-lamp";
import { weathervane } from "./pieces/weathervane";

/** A made-up pianist with hands on the small side, a made-up recital, and the hard spots in it. */
interface DemoPassage {
  readonly title: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly hands: Hands;
  readonly tempo: number;
  readonly touch: Touch;
  readonly pedal: boolean;
  /** How far its choosing has come when the demo is loaded. */
  readonly chosen?: DemoChoice;
  /** What was tried of it in the weeks before. */
  readonly tried?: readonly DemoTried[];
}

/** Takes of one option, over three weeks: faults in 100 onsets up to a tempo, and beyond it. */
export interface DemoTried {
  readonly option: string;
  /** Quarter notes a minute above which it breaks; null where it does not. */
  readonly breaks: number | null;
  /** Days before the day of loading on which it was tried. */
  readonly daysAgo: readonly number[];
  /** Quarter notes a minute of the takes of a day. */
  readonly tempi: readonly number[];
}

const THREE_WEEKS = [21, 18, 15, 12, 9, 6, 3, 1] as const;

export interface DemoChoice {
  /** Days from the day of loading until it is to be decided; for one not yet taken. */
  readonly decideIn?: number;
  /** Letter of the option in the fingers before anything was decided. */
  readonly known?: string;
  /** Letter of the option taken, why, and after how many practice days to look at it again. */
  readonly taken?: { readonly option: string; readonly reason: string; readonly reviewAfter: number };
}

export interface DemoPiece {
  readonly score: Composed;
  readonly fileName: string;
  readonly passages: readonly DemoPassage[];
}

export interface DemoMeasurement extends HandMeasured {
  readonly side: Side;
  readonly measuredOn: string;
}

/** Wide openings of a day, mm beyond comfort times minutes, that the invented pianist allows each hand. */
const DOSE_LIMIT = 60;

export const DEMO_PIANIST = { name: "Maro Telland", doseLimit: DOSE_LIMIT };

/** In mm, oldest first: spans on a ruler, and since the autumn some openings at the keys. */
export const DEMO_MEASUREMENTS = [
  { side: "right", measuredOn: "2026-06-02", rulerSpan: 190 },
  { side: "left", measuredOn: "2026-06-02", rulerSpan: 194 },
  {
    side: "right",
    measuredOn: "2026-11-02",
    rulerSpan: 191,
    pairs: {
      "1-5": { comfortable: 151, widest: 173 },
      "1-2": { comfortable: 96, widest: 118 },
      "2-5": { comfortable: 90, widest: 112 },
      "3-4": { widest: 44 },
    },
    tipWidths: { 1: 20, 2: 15, 5: 13 },
  },
  {
    side: "left",
    measuredOn: "2026-11-02",
    rulerSpan: 196,
    pairs: { "1-5": { comfortable: 157, widest: 178 }, "2-5": { comfortable: 97, widest: 120 } },
    tipWidths: { 1: 20, 2: 15 },
  },
] as const satisfies readonly DemoMeasurement[];

export const DEMO_INSTRUMENT = { name: "Practice-room grand", octaveWidth: 164.5 };

export const DEMO_RECITAL = { title: "An evening of studies, Lantern Room", date: "2027-03-12" };

const spot = (
  title: string,
  fromBar: number,
  toBar: number,
  hands: Hands,
  tempo: number,
  more: Partial<DemoPassage> = {},
): DemoPassage => ({
  title,
  fromBar,
  toBar,
  hands,
  tempo,
  touch: "legato",
  pedal: false,
  ...more,
});

export const DEMO_PIECES: readonly DemoPiece[] = [
  {
    score: darkWater,
    fileName: "dark-water.musicxml",
    passages: [
      spot("The run over the black keys", 1, 2, "right", 112, {
        chosen: { decideIn: 4, known: "B" },
        tried: [
          { option: "B", breaks: 92, daysAgo: THREE_WEEKS, tempi: [72, 88, 104] },
          { option: "A", breaks: 108, daysAgo: [6, 3, 1], tempi: [88, 104, 112] },
        ],
      }),
      spot("The way back down", 3, 4, "right", 112),
    ],
  },
  {
    score: fourRivers,
    fileName: "four-rivers.musicxml",
    passages: [spot("Broken chords, four octaves", 1, 3, "both", 104, { pedal: true })],
  },
  {
    score: ironGate,
    fileName: "the-iron-gate.musicxml",
    passages: [spot("Chords at the gate", 1, 2, "right", 66, { touch: "detached", pedal: true })],
  },
  {
    score: highWind,
    fileName: "cradle-in-a-high-wind.musicxml",
    passages: [spot("The rocking left hand", 1, 4, "left", 84, { pedal: true })],
  },
  {
    score: lanternStairs,
    fileName: "lantern-stairs.musicxml",
    passages: [spot("By turns up the stairs", 1, 2, "both", 112)],
  },
  {
    score: doubleWindows,
    fileName: "double-windows.musicxml",
    passages: [
      spot("Thirds up to the turn", 1, 2, "right", 88, {
        chosen: { taken: { option: "A", reason: "It stays clear when it is fast.", reviewAfter: 1 } },
        tried: [
          { option: "B", breaks: 70, daysAgo: THREE_WEEKS.slice(0, 4), tempi: [60, 68, 80] },
          { option: "A", breaks: null, daysAgo: THREE_WEEKS, tempi: [72, 88] },
        ],
      }),
    ],
  },
  {
    score: overLeaves,
    fileName: "a-voice-over-leaves.musicxml",
    passages: [spot("Tune held over the leaves", 1, 3, "right", 60)],
  },
  {
    score: signalLamp,
    fileName: "the-signal-lamp.musicxml",
    passages: [
      spot("One note, again and again", 1, 3, "right", 92),
      spot("The left hand stays below", 1, 3, "left", 92),
    ],
  },
  {
    score: weathervane,
    fileName: "weathervane.musicxml",
    passages: [spot("The figure in four keys", 1, 4, "right", 120)],
  },
];
