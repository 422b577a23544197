import { DRILL } from "../../physics";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import { asWritten, part, placeOf, TIME, toTheBar } from "./shared";

/** Each join by itself: the last notes of one position and the first of the next. */
export const joinsAlone: DrillKind = {
  id: "joins",
  name: "Each join alone",
  against: ["thumb-pass", "crossing", "carry", "shortfall", "line-broken", "position", "same-finger"],
  pace: "quick",
  make: (source) =>
    source.positions.slice(1).map(({ from, to, join }, i) => {
      const before = source.positions[i]!;
      const [first, last] = [Math.max(before.from, from - DRILL.aboutJoin), Math.min(to, from + DRILL.aboutJoin - 1)];
      const once = toTheBar(asWritten(part(source, first, last)));
      return {
        id: `joins ${from}`,
        kind: "joins",
        name: `Join ${i + 1} alone`,
        attacks: `the ${join ?? "way"} to the next position in ${placeOf(source, from)}`,
        done: "ten times clean at the target tempo, the hand loose after each",
        stop: `after twenty times, or ${STOP_ALWAYS}`,
        about: { from: first, to: last },
        music: { time: TIME, tempo: source.tempo, hands: [{ side: source.side, events: [...once, ...once] }] },
      };
    }),
};
