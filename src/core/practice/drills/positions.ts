import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { asWritten, part, placeOf, TIME, toTheBar } from "./shared";

/** Each position by itself, again and again with a rest between. */
export const positionsAlone: DrillKind = {
  id: "positions",
  name: "Each position alone",
  against: ["position", "opening", "crowding", "weak-finger", "holding", "doubled-thumb"],
  pace: "slow",
  make: (source) =>
    source.positions.flatMap(({ from, to }, i): Drill[] => {
      if (to - from < 1) return [];
      const once = toTheBar(asWritten(part(source, from, to)));
      return [
        {
          id: `positions ${from}`,
          kind: "positions",
          name: `Position ${i + 1} alone`,
          attacks: `what lies under the hand from ${placeOf(source, from)} on, without the way to it`,
          done: "five times in a row clean and easy at the target tempo",
          stop: `after ten times, or ${STOP_ALWAYS}`,
          about: { from, to },
          music: { time: TIME, tempo: source.tempo, hands: [{ side: source.side, events: [...once, ...once] }] },
        },
      ];
    }),
};
