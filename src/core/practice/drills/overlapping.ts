import { DRILL } from "../../physics";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { asWritten, part, TIME, toTheBar } from "./shared";

const { overlapping: GROUP, overlap: OVER } = DRILL;

/** Groups that overlap, so that every seam between two of them lies in the middle of another. */
export const overlapping: DrillKind = {
  id: "overlapping",
  name: "Overlapping groups",
  against: ["thumb-pass", "position"],
  pace: "slow",
  make(source): readonly Drill[] {
    const count = source.onsets.length;
    if (count < GROUP + 1) return [];
    const step = GROUP - OVER;
    const starts: number[] = [];
    for (let from = 0; ; from += step) {
      starts.push(Math.min(from, Math.max(0, count - GROUP)));
      if (from + GROUP >= count) break;
    }
    return [
      {
        id: "overlapping",
        kind: "overlapping",
        name: "Groups of five that overlap",
        attacks: "seams: where one learnt group ends another is in full flow",
        done: "no group is less sure than the others",
        stop: `after twice through, or ${STOP_ALWAYS}`,
        about: { from: 0, to: count - 1 },
        music: {
          time: TIME,
          tempo: source.tempo,
          hands: [
            {
              side: source.side,
              events: starts.flatMap((from) => toTheBar(asWritten(part(source, from, from + GROUP - 1)))),
            },
          ],
        },
      },
    ];
  },
};
