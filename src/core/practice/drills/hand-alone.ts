import { STOP_ALWAYS, type DrillKind } from "../drill";
import { all, asWritten, isLine, oneHand } from "./shared";

/** One hand as it is written. */
export const handAlone: DrillKind = {
  id: "hand-alone",
  name: "The hand alone",
  against: [],
  pace: "slow",
  make: (source) =>
    isLine(source)
      ? [
          {
            id: "hand-alone",
            kind: "hand-alone",
            name: `The ${source.side} hand alone`,
            attacks: "a hand that leans on the other: it must know its way by itself",
            done: "three times in a row clean and easy at the target tempo",
            stop: `after six times through, or ${STOP_ALWAYS}`,
            about: all(source),
            music: oneHand(source, asWritten(source.onsets)),
          },
        ]
      : [],
};
