import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import type { Source } from "../source";
import { all, oneHand } from "./shared";

/** The tune of a hand by itself, and what lies under or over it by itself, both in the rhythm of the passage. */
export const tuneAlone: DrillKind = {
  id: "tune-alone",
  name: "The tune alone, the rest alone",
  against: ["heavy-finger", "weak-finger"],
  pace: "slow",
  make(source) {
    const hasBoth = source.onsets.some(({ keys }) => keys.some((k) => k.isTune) && keys.some((k) => !k.isTune));
    if (!hasBoth) return [];
    return [
      part(source, true, "The tune alone", "a tune that is not heard: its fingers, its line, its weight"),
      part(source, false, "Without the tune", "what goes with the tune: light, and under control by itself"),
    ];
  },
};

function part(source: Source, isTune: boolean, name: string, attacks: string): Drill {
  const events = source.onsets.map(({ keys, length }) => ({ keys: keys.filter((k) => k.isTune === isTune), length }));
  const id = isTune ? "tune-alone" : "tune-alone rest";
  return {
    id,
    kind: "tune-alone",
    name,
    attacks,
    done: "it is the same when all is played",
    stop: `after three times through, or ${STOP_ALWAYS}`,
    about: all(source),
    music: oneHand(source, events),
  };
}
