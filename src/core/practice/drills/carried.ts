import { beats, multiply, subtract } from "../../time/beats";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import { all, oneHand, part, rest } from "./shared";

const SOUNDS = beats("1/2");

/** Positions played as groups that are let go: the arm carries the hand over, and the thumb does not go under. */
export const carried: DrillKind = {
  id: "carried",
  name: "Carried, without the thumb under",
  against: ["thumb-pass", "crossing", "carry"],
  pace: "quick",
  make(source) {
    if (source.positions.length < 2) return [];
    const events = source.positions.flatMap(({ from, to }, p) =>
      part(source, from, to).flatMap(({ keys, length }, i) => {
        const isLast = from + i === to && p < source.positions.length - 1;
        if (!isLast) return [{ keys, length }];
        const sounds = multiply(length, SOUNDS);
        return [{ keys, length: sounds, mark: "staccato" as const }, rest(subtract(length, sounds))];
      }),
    );
    return [
      {
        id: "carried",
        kind: "carried",
        name: "Carried from position to position",
        attacks: "a thumb that twists under: the arm goes sideways, the hand is let go and set down",
        done: "it sounds bound although it is not",
        stop: `after five times through, or ${STOP_ALWAYS}`,
        about: all(source),
        music: oneHand(source, events, "let go, the arm carries"),
      },
    ];
  },
};
