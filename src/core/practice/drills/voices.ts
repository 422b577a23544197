import { STOP_ALWAYS, type DrillKind } from "../drill";
import { all, oneHand } from "./shared";

/** Each voice of a hand by itself, with the fingers it has among the others. */
export const voicesAlone: DrillKind = {
  id: "voices",
  name: "Each voice alone",
  against: ["held-note", "holding", "change-on-key"],
  pace: "slow",
  make(source) {
    const names = [...new Set(source.onsets.flatMap(({ keys }) => keys.map(({ voice }) => voice)))].sort();
    if (names.length < 2) return [];
    return names.map((name, i) => ({
      id: `voices ${i + 1}`,
      kind: "voices",
      name: `Voice ${i + 1} of ${names.length} alone`,
      attacks: "a voice that is only ever heard with the others",
      done: "it sings by itself with the fingers it has among the others",
      stop: `after three times through, or ${STOP_ALWAYS}`,
      about: all(source),
      music: oneHand(
        source,
        source.onsets.map(({ keys, length }) => ({ keys: keys.filter(({ voice }) => voice === name), length })),
      ),
    }));
  },
};
