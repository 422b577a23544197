import { isOnKeyboard, type Pitch } from "../../keyboard/pitch";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import type { Side } from "../../hand/finger";
import { all, asWritten, isLine, TIME } from "./shared";

const OCTAVE = 12;

/** The other hand plays the same notes an octave or more away, on its own side: the ear of one hand teaches the other. */
export const alongside: DrillKind = {
  id: "alongside",
  name: "The other hand alongside",
  against: ["weak-finger"],
  pace: "slow",
  make(source) {
    if (!isLine(source)) return [];
    const other: Side = source.side === "right" ? "left" : "right";
    const keys = source.onsets.flatMap((onset) => onset.keys.map(({ key }) => key));
    const way = source.side === "right" ? -1 : 1;
    const octaves = Math.max(1, Math.ceil((Math.max(...keys) - Math.min(...keys) + 1) / OCTAVE));
    const by = [octaves, octaves - 1]
      .map((count) => way * OCTAVE * count)
      .find((one) => {
        return one !== 0 && keys.every((key) => isOnKeyboard(key + one));
      });
    if (by === undefined) return [];
    const same = source.onsets.map((onset) => ({
      // The other hand has fingers of its own, which it chooses itself.
      keys: onset.keys.map(({ key }) => ({ key: (key + by) as Pitch, finger: null })),
      length: onset.length,
    }));
    return [
      {
        id: "alongside",
        kind: "alongside",
        name: `With the ${other} hand in unison`,
        attacks: "what one hand does better than the other: they play as one and listen",
        done: "with closed eyes the two cannot be told apart",
        stop: `after three times through, or ${STOP_ALWAYS}`,
        about: all(source),
        music: {
          time: TIME,
          tempo: source.tempo,
          hands: [
            { side: source.side, events: asWritten(source.onsets) },
            { side: other, events: same },
          ],
        },
      },
    ];
  },
};
