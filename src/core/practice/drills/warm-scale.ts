import { isOnKeyboard, type Pitch } from "../../keyboard/pitch";
import { DRILL } from "../../physics";
import { beats } from "../../time/beats";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import { all, TIME, toTheBar } from "./shared";
import { tonicBy } from "./warm-up";

const NOTE = beats("1/2");
/** The major scale, semitones from its tonic, up an octave and down again. */
const SCALE = [0, 2, 4, 5, 7, 9, 11, 12, 11, 9, 7, 5, 4, 2, 0] as const;

/** The scale of the passage's signature, slow and soft, with the fingers that lie best. */
export const warmScale: DrillKind = {
  id: "warm-scale",
  name: "Warm up: the scale",
  against: [],
  pace: "slow",
  make(source) {
    const low = tonicBy(source);
    if (low === null || !isOnKeyboard(low + 12)) return [];
    const keys = SCALE.map((by) => (low + by) as Pitch);
    const fingers = source.fingersFor(keys, NOTE);
    const events = keys.map((key, i) => ({ keys: [{ key, finger: fingers[i] ?? null }], length: NOTE }));
    return [
      {
        id: "warm-scale",
        kind: "warm-scale",
        name: "The scale of the key, slow and soft",
        attacks: "cold hands: what they have always known comes first",
        done: "the hand is warm and the thumb passes without a bump",
        stop: `when it is warm, or ${STOP_ALWAYS}`,
        about: all(source),
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
