import type { Cause } from "../cause";
import { PLAYING } from "../../../physics";

/** The thumb, the heaviest finger, on a note that is to be soft and is not the tune. */
export const heavyFinger: Cause = {
  id: "heavy-finger",
  label: "heavy finger on a soft note",
  unit: "notes",
  frames: 1,
  source: "A choice: straight from nothing at middling loudness.",
  find({ now, weights }, tell) {
    for (const at of now.struck) {
      const softness = 1 - at.stroke.load / PLAYING.middling;
      if (at.finger === 1 && softness > 0 && !at.stroke.tune)
        tell(at.stroke, 1, softness * weights.heavyThumb, at, null);
    }
  },
  spared: () => "a lighter finger plays the soft note",
  say: () => "the thumb is heavy for so soft a note",
};
