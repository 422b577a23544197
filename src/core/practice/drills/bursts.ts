import { DRILL } from "../../physics";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { asWritten, part, TIME, toTheBar } from "./shared";

/** Short bursts at full speed with a rest after each, longer and longer: only once the notes are known. */
export const bursts: DrillKind = {
  id: "bursts",
  name: "Short bursts at speed",
  against: ["speed", "shortfall", "alternation", "repetition", "series"],
  pace: "quick",
  make: (source) =>
    DRILL.bursts.flatMap((count): Drill[] => {
      if (source.onsets.length < count) return [];
      const starts = Array.from({ length: Math.ceil(source.onsets.length / count) }, (_, i) => i * count);
      // Each burst goes on to the first note of the next, where there is one.
      const events = starts.flatMap((from) => toTheBar(asWritten(part(source, from, from + count))));
      return [
        {
          id: `bursts ${count}`,
          kind: "bursts",
          name: `Bursts of ${count}`,
          attacks: "what fails only at speed: each burst is one thought, and the hand rests after it",
          done: "every burst clean at the target tempo, twice through",
          stop: `after three times through, or ${STOP_ALWAYS}`,
          about: { from: 0, to: source.onsets.length - 1 },
          music: { time: TIME, tempo: source.tempo, hands: [{ side: source.side, events }] },
        },
      ];
    }),
};
