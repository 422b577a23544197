import type { Cause } from "../cause";
import { fingerOnKey } from "../words";

/** A finger asked to play that the player has marked as resting. */
export const restingFinger: Cause = {
  id: "resting-finger",
  label: "resting finger",
  unit: "notes",
  frames: 1,
  source: "A choice: above every other strain. The search does not use such a finger unless it is pinned.",
  find({ now, hand, weights }, tell) {
    if (hand.resting.length === 0) return;
    for (const at of now.struck)
      if (hand.resting.includes(at.finger)) tell(at.stroke, 1, weights.restingFinger, at, null);
  },
  spared: () => "the resting finger is spared",
  say: ({ finger }) => `${fingerOnKey(finger!)} is marked as resting`,
};
