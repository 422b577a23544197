import type { Frame, Press } from "../../frames/frame";
import { armShare, sameKeys } from "../arm";
import { fingers } from "../words";
import type { Cause } from "../cause";

/**
 * Another finger on a key that was struck just before, or with one note between: it must be thought of; and the hand draws its
 * fingers over a key towards the thumb: one that lies farther from it comes there only past the finger that was there.
 */
export const otherFinger: Cause = {
  id: "other-finger",
  label: "other finger on the same key",
  unit: "notes",
  frames: 3,
  source:
    "A choice: less than a change of position; where a finger cannot repeat so fast, changing is cheaper all the same. Nothing from one chord to another, which the arm sets down: the hand moves as a whole. That repeated notes go 4 3 2 1 is teaching practice.",
  find({ now, before, earlier, weights, hand, letGo, letGoBefore }, tell) {
    const chord = armShare(hand, now);
    for (const to of now.struck) {
      // Where the hand let go in between it is set down anew, wherever it was before.
      const frame = onKey(before, to) ? before : letGo || letGoBefore ? null : earlier;
      const from = onKey(frame, to);
      if (!from || from.finger === to.finger) continue;
      const moved = sameKeys(frame!, now) ? 0 : chord * armShare(hand, frame!);
      const away = to.finger > from.finger ? weights.againstSweep : 0;
      const strain = ((weights.otherFinger + away) * (1 - moved)) / now.struck.length;
      if (strain > 0) tell(to.stroke, 1, strain, to, from);
    }
  },
  spared: () => "a key keeps its finger",
  say: ({ finger, other }) => `${fingers(other, finger)} in turn on ${finger!.stroke.spelled}`,
};

function onKey(frame: Frame | null, { key }: Press): Press | undefined {
  if (frame !== null) for (const press of frame.struck) if (press.key === key) return press;
  return undefined;
}
