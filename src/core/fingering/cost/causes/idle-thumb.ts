import { MOTION } from "../../../physics";
import type { Cause } from "../cause";

/** A whole chord without the thumb, though it is free: it stands against the fingers, and the hand is steadiest with it on a key. */
export const idleThumb: Cause = {
  id: "idle-thumb",
  label: "thumb idle in a chord",
  unit: "notes",
  frames: 1,
  source: "A choice: chords of three notes and more are gripped between the thumb and the fingers.",
  find({ now, weights, hand }, tell) {
    if (now.struck.length < MOTION.wholeFrom || hand.resting.includes(1)) return;
    if ([...now.struck, ...now.held].some(({ finger }) => finger === 1)) return;
    tell(now.struck[0]!.stroke, 1, weights.idleThumb, null, null);
  },
  spared: () => "the thumb holds the chord together",
  say: () => "a chord without the thumb",
};
