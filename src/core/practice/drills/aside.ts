import { isOnKeyboard, type Pitch } from "../../keyboard/pitch";
import { DRILL } from "../../physics";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { asWritten, part, TIME, toTheBar } from "./shared";

/** An octave or two to the side and home again at the same tempo: the arm finds the movement where nothing else is at stake. */
export const aside: DrillKind = {
  id: "aside",
  name: "To the side and home",
  against: ["in-out", "carry", "rotation", "outer-on-black"],
  pace: "quick",
  make: (source) =>
    DRILL.octavesAside.flatMap((octaves): Drill[] => {
      const home = toTheBar(asWritten(part(source, 0, source.onsets.length - 1)));
      const by = 12 * octaves * (source.side === "right" ? 1 : -1);
      const moved = home.map(({ keys, length }) => ({
        keys: keys.map((one) => ({ ...one, key: (one.key + by) as Pitch })),
        length,
      }));
      if (home.length === 0 || !moved.every(({ keys }) => keys.every(({ key }) => isOnKeyboard(key)))) return [];
      return [
        {
          id: `aside ${octaves}`,
          kind: "aside",
          name: octaves === 1 ? "An octave to the side, then home" : "Two octaves to the side, then home",
          attacks: "an arm that is not free: out there it moves as it likes, and comes home with the same movement",
          done: "it feels the same at home as out there",
          stop: `after three times, or ${STOP_ALWAYS}`,
          about: { from: 0, to: source.onsets.length - 1 },
          music: { time: TIME, tempo: source.tempo, hands: [{ side: source.side, events: [...moved, ...home] }] },
        },
      ];
    }),
};
