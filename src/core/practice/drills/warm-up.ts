import type { Finger } from "../../hand/finger";
import { isOnKeyboard, type Pitch } from "../../keyboard/pitch";
import { DRILL } from "../../physics";
import { beats } from "../../time/beats";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import type { DrillEvent } from "../music";
import { asWritten, part, placeOf, TIME, toTheBar } from "./shared";
import type { Source } from "../source";

const NOTE = beats("1/2");
const STEPS = [0, 2, 4, 5, 7, 5, 4, 2, 0] as const;
const UP: readonly Finger[] = [1, 2, 3, 4, 5, 4, 3, 2, 1];

/** Five fingers on five neighbouring keys in the passage's key: nothing opens, nothing passes. */
export const warmFive: DrillKind = {
  id: "warm-five",
  name: "Warm up: five fingers",
  against: [],
  pace: "slow",
  make(source) {
    const low = tonicBy(source);
    if (low === null) return [];
    const fingers = source.side === "right" ? UP : UP.map((finger) => (6 - finger) as Finger);
    const events = STEPS.map((by, i): DrillEvent => ({
      keys: [{ key: (low + by) as Pitch, finger: fingers[i]! }],
      length: NOTE,
    }));
    return [
      {
        id: "warm-five",
        kind: "warm-five",
        name: "Five fingers, slow and soft",
        attacks: "cold hands: small and soft first",
        done: "the hand is warm and every finger falls by itself",
        stop: `when it is warm, or ${STOP_ALWAYS}`,
        about: { from: 0, to: 0 },
        music: {
          time: TIME,
          tempo: source.tempo * DRILL.warmTempo,
          words: "soft",
          hands: [{ side: source.side, events: toTheBar(events) }],
        },
      },
    ];
  },
};

/** The major tonic of the signature that lies nearest under the source's middle; null where five fingers have no room. */
export function tonicBy({ fifths, onsets }: Source): number | null {
  const keys = onsets.flatMap((onset) => onset.keys.map(({ key }) => key as number));
  if (keys.length === 0) return null;
  const middle = (Math.min(...keys) + Math.max(...keys)) / 2;
  const tonic = (((fifths * 7) % 12) + 12) % 12;
  const low = tonic + 12 * Math.round((middle - 4 - tonic) / 12);
  return isOnKeyboard(low) && isOnKeyboard(low + 7) ? low : null;
}

/** The position of the passage that opens least, slowly and softly. */
export const warmEasy: DrillKind = {
  id: "warm-easy",
  name: "Warm up: the easiest position",
  against: [],
  pace: "slow",
  make(source) {
    const wide = source.positions.filter(({ from, to }) => to - from >= 2);
    const opening = ({ from, to }: { from: number; to: number }): number => {
      const keys = part(source, from, to).flatMap((onset) => onset.keys.map(({ key }) => key as number));
      return Math.max(...keys) - Math.min(...keys);
    };
    const easiest = [...wide].sort((a, b) => opening(a) - opening(b))[0];
    if (!easiest) return [];
    const { from, to } = easiest;
    const once = toTheBar(asWritten(part(source, from, to)));
    return [
      {
        id: "warm-easy",
        kind: "warm-easy",
        name: `Warm up on ${placeOf(source, from)}, slow and soft`,
        attacks: "cold hands: what lies best in the passage comes first",
        done: "the hand is warm and the notes fall by themselves",
        stop: `when it is warm, or ${STOP_ALWAYS}`,
        about: { from, to },
        music: {
          time: TIME,
          tempo: source.tempo * DRILL.warmTempo,
          words: "soft",
          hands: [{ side: source.side, events: [...once, ...once] }],
        },
      },
    ];
  },
};
