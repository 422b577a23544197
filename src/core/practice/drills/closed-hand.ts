import { DRILL } from "../../physics";
import { beats, multiply, subtract } from "../../time/beats";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import { all, oneHand, rest } from "./shared";

const SOUNDS = beats("1/2");

/** Each chord let go at half its length, the hand closing before the next: opening is short, closing is the rule. */
export const closedHand: DrillKind = {
  id: "closed-hand",
  name: "The hand closed between chords",
  against: ["held-open", "opening", "carry"],
  pace: "slow",
  make(source) {
    const chords = source.onsets.filter(({ keys }) => keys.length >= 2);
    if (chords.length < 2 || chords.length < source.onsets.length * DRILL.closesAfter) return [];
    const events = source.onsets.flatMap(({ keys, length }) => {
      const sounds = multiply(length, SOUNDS);
      return [{ keys, length: sounds }, rest(subtract(length, sounds))];
    });
    return [
      {
        id: "closed-hand",
        kind: "closed-hand",
        name: "Close the hand between the chords",
        attacks: "a hand that stays open from one chord to the next",
        done: "the hand is closed and soft before every chord, at the target tempo",
        stop: `after five times through, or ${STOP_ALWAYS}`,
        about: all(source),
        music: oneHand(source, events, "close in the rests"),
      },
    ];
  },
};
