import { MOTION } from "../../../physics";
import type { Frame } from "../../frames/frame";
import type { Cause } from "../cause";
import { pace } from "../pace";
import { isPass } from "../pass";
import { mm } from "../words";

/** A hand set far along that serves two notes only: the thumb, one finger, and the thumb again past it. */
export const forTwoNotes: Cause = {
  id: "for-two-notes",
  label: "place for two notes",
  unit: "mm",
  frames: 3,
  source:
    "mm that the thumb goes from its note to its next; grows between the two of MOTION.twoNotesFrom, so that thumb and finger may take turns where keys lie close, as in a chromatic scale. A choice.",
  find({ now, before, earlier, weights }, tell) {
    if (before === null || earlier === null || !isByThumb(now) || !isByThumb(earlier)) return;
    if (!isPass(before, now) && !isPass(earlier, before)) return;
    const at = now.struck[0]!;
    const from = earlier.struck[0]!;
    // It goes about a finger that plays between, most often on black: from where it lies for that.
    const moved = Math.abs(at.x - from.x);
    const [least, most] = MOTION.twoNotesFrom;
    const share = Math.min(1, Math.max(0, (moved - least) / (most - least)));
    const ms = (now.onset.gap + before.onset.gap) / 2;
    if (share > 0) tell(at.stroke, moved, share * weights.forTwoNotes * pace(ms), at, before.struck[0]!);
  },
  spared: () => "the hand is not set anew for two notes",
  say: ({ amount }) => `the thumb goes ${mm(amount)} on after one note between`,
};

function isByThumb({ struck }: Frame): boolean {
  return struck.length === 1 && struck[0]!.finger === 1;
}
