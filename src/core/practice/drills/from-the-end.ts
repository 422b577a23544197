import { DRILL } from "../../physics";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { asWritten, part, TIME, toTheBar } from "./shared";

const GROUP = DRILL.fromTheEnd;

/** From the last group backwards, one more group each time: one always plays into what one knows. */
export const fromTheEnd: DrillKind = {
  id: "from-the-end",
  name: "From the end",
  against: [],
  pace: "slow",
  make(source): readonly Drill[] {
    const last = source.onsets.length - 1;
    if (last + 1 <= GROUP) return [];
    const starts: number[] = [];
    for (let from = last + 1 - GROUP; ; from -= GROUP) {
      starts.push(Math.max(0, from));
      if (from <= 0) break;
    }
    return [
      {
        id: "from-the-end",
        kind: "from-the-end",
        name: "From the last group backwards",
        attacks: "an end that is less sure than the beginning",
        done: "it can be begun at every group",
        stop: `after once through, or ${STOP_ALWAYS}`,
        about: { from: 0, to: last },
        music: {
          time: TIME,
          tempo: source.tempo,
          hands: [
            { side: source.side, events: starts.flatMap((from) => toTheBar(asWritten(part(source, from, last)))) },
          ],
        },
      },
    ];
  },
};
