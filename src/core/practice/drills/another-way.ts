import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import type { Source } from "../source";
import { all, asWritten, isLine, oneHand } from "./shared";

function asIs(source: Source, own: Pick<Drill, "id" | "name" | "attacks" | "done"> & { words: string }): Drill {
  const { words, ...said } = own;
  return {
    ...said,
    kind: own.id,
    stop: `after three times through, or ${STOP_ALWAYS}`,
    about: all(source),
    music: oneHand(source, asWritten(source.onsets), words),
  };
}

/** As written, but dry. */
export const withoutPedal: DrillKind = {
  id: "without-pedal",
  name: "Without pedal",
  against: ["line-broken"],
  pace: "slow",
  make: (source) =>
    source.pedal && isLine(source)
      ? [
          asIs(source, {
            id: "without-pedal",
            name: "Without pedal",
            words: "no pedal",
            attacks: "what the pedal covers up",
            done: "it is bound, and as clear as with the pedal",
          }),
        ]
      : [],
};

/** As written, eyes closed or on the fallboard. */
export const withoutLooking: DrillKind = {
  id: "without-looking",
  name: "Without looking",
  against: ["carry", "shortfall"],
  pace: "slow",
  make: (source) =>
    isLine(source)
      ? [
          asIs(source, {
            id: "without-looking",
            name: "Without looking at the hand",
            words: "eyes off the keys",
            attacks: "a way that only the eye knows: black keys and distances are felt for",
            done: "three times in a row clean",
          }),
        ]
      : [],
};

/** Away from the keys: the score covered, the fingers and the way imagined. */
export const imagined: DrillKind = {
  id: "imagined",
  name: "Away from the keys",
  against: [],
  pace: "slow",
  make: (source) =>
    isLine(source)
      ? [
          {
            ...asIs(source, {
              id: "imagined",
              name: "Imagined, the score covered",
              words: "away from the keys",
              attacks: "a memory that is only in the fingers: hear it, and feel each finger without moving it",
              done: "every note and finger is there before the cover is lifted",
            }),
            isImagined: true,
          },
        ]
      : [],
};
