import { DRILL } from "../../physics";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { all, oneHand } from "./shared";

/** The notes as written, the accent on every third, fifth or seventh: what the beat held together must hold by itself. */
export const againstTheBeat: DrillKind = {
  id: "against-the-beat",
  name: "Groups against the beat",
  against: ["alternation", "speed"],
  pace: "slow",
  make: (source) =>
    DRILL.againstBeat.flatMap((size): Drill[] => {
      if (source.onsets.length < 2 * size) return [];
      const events = source.onsets.map(({ keys, length }, i) => ({
        keys,
        length,
        ...(i % size === 0 ? { mark: "accent" as const } : {}),
      }));
      return [
        {
          id: `against-the-beat ${size}`,
          kind: "against-the-beat",
          name: `In groups of ${size}, against the beat`,
          attacks: "notes that lean on the beat: the accent falls on each in turn",
          done: "the accents come without a bump, and the line is as even as before",
          stop: `after three times through, or ${STOP_ALWAYS}`,
          about: all(source),
          music: oneHand(source, events),
        },
      ];
    }),
};
