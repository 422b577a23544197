import { MOTION, WARNING_WEIGHT } from "../../physics";
import { tempoWithoutWindow } from "../hand/release";
import { eachHand, whole } from "./warning";

/** A wide opening after which the hand finds no time to close. */
export const noWindow = eachHand("no-window", "ms", ({ releases }, tempo) =>
  releases.flatMap((release) => {
    const { isOpen, window, from } = release;
    if (!isOpen || window >= MOTION.closeMs || from.length === 0) return [];
    const gone = tempoWithoutWindow(release, tempo, MOTION.closeMs);
    return [
      {
        note: from[0]!,
        amount: window,
        words: `a wide grip, and then ${whole(window)} ms to close the hand; it needs ${MOTION.closeMs}`,
        change:
          gone >= 1
            ? `let go as soon as it has sounded; up to a quarter note of ${Math.floor(gone)} there is time`
            : "let go of one of its keys sooner",
        cost: (WARNING_WEIGHT.noWindow * (MOTION.closeMs - window)) / MOTION.closeMs,
      },
    ];
  }),
);
