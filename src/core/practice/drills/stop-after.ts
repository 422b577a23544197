import { DRILL } from "../../physics";
import { beats } from "../../time/beats";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import { asWritten, part, placeOf, rest, TIME, toTheBar } from "./shared";

/** Stop on the last finger of a position, let the hand go to its next place in silence, then on. */
export const stopAfter: DrillKind = {
  id: "stop-after",
  name: "Stop, go, play on",
  against: ["thumb-pass", "crossing", "carry", "shortfall"],
  pace: "slow",
  make: (source) =>
    source.positions.slice(1).map(({ from, to }, i) => {
      const before = source.positions[i]!;
      const first = Math.max(before.from, from - DRILL.beforeStop);
      const events = toTheBar([
        ...asWritten(part(source, first, from - 1)),
        rest(beats(DRILL.stopQuarters)),
        ...asWritten(part(source, from, Math.min(to, from + DRILL.afterStop - 1))),
      ]);
      return {
        id: `stop-after ${from}`,
        kind: "stop-after",
        name: `Stop before join ${i + 1}`,
        attacks: `a late move in ${placeOf(source, from)}: the hand is there before it plays`,
        done: "the hand lies in its next place well within the rest, eight times in a row",
        stop: `after fifteen times, or ${STOP_ALWAYS}`,
        about: { from: first, to: Math.min(to, from + DRILL.afterStop - 1) },
        music: { time: TIME, tempo: source.tempo, hands: [{ side: source.side, events }] },
      };
    }),
};
