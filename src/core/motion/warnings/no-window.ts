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
        words: `open beyond comfort with ${whole(window)} ms to close afterwards; closing takes ${MOTION.closeMs}`,
        change: `let go as soon as it has sounded; up to a quarter note of ${Math.floor(gone)} there is time`,
        cost: (WARNING_WEIGHT.noWindow * (MOTION.closeMs - window)) / MOTION.closeMs,
      },
    ];
  }),
);
